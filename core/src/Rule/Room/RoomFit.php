<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Room;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\Limits;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;

#[Says(
    'Paint sprayed in air that is too cold, too damp or near its dew point: no film, blush, dust in wet paint.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'Handbook 4, Dew point: 15 to 28 °C, to 70 % RH, gloss to 60 %',
)]
final class RoomFit implements Judges
{
    public function id(): string
    {
        return 'room';
    }

    public function judge(Outlook $outlook): iterable
    {
        $room = $outlook->context->room;
        foreach ($outlook->context->kit->areas as $area) {
            foreach ($outlook->context->surface->area($area->id)->layers as $layer) {
                $air = $room->at($layer->lastCoat()->atEpoch);
                $trouble = $layer->product === null || $layer->wash() !== null ? null : self::trouble($layer->product->family, $air) ?? self::overLimit($layer, $air, $room->limits);
                if ($trouble !== null) {
                    yield $this->finding($outlook, $area, $layer, $air, ...$trouble);
                }
            }
        }
    }

    /** @return array{Severity, string}|null */
    private static function trouble(Family $family, Conditions $air): ?array
    {
        $dew = $air->dewPointC();

        return match (true) {
            $family->below() === Below::WaterAcrylic && $air->temperatureC < 10 => [Severity::Stop, 'under 10 °C water acrylic forms no film'],
            $family === Family::TwoPart && $air->temperatureC < 15 => [Severity::Stop, 'under 15 °C two-part paint does not cross-link'],
            in_array($family->liquid(), [Liquid::AlcoholAcrylic, Liquid::TwoPart], true) && $air->temperatureC - 4 < $dew => [Severity::Think, 'the drying solvent cools it under the dew point: it blushes'],
            $family->liquid() === Liquid::Lacquer && $air->temperatureC - 7 < $dew => [Severity::Think, 'the drying solvent cools it under the dew point: it blushes'],
            default => null,
        };
    }

    /** @return array{Severity, string}|null what the limits for spraying say of the air a coat went on in */
    private static function overLimit(Layer $layer, Conditions $air, Limits $limits): ?array
    {
        $why = $limits->trouble($air, $layer->product?->sheen === Sheen::Gloss);

        return $why === null ? null : [Severity::Think, $why];
    }

    private function finding(Outlook $outlook, Area $area, Layer $layer, Conditions $air, Severity $severity, string $why): Finding
    {
        $key = (new Finding($this->id(), $severity, '', '', [$area->id, $layer->lastCoat()->eventId]))->key;

        return new Finding($this->id(), $severity, "{$layer->word()} went on at {$air->words()}", ucfirst($why).'.', [$area->id, $layer->lastCoat()->eventId], [], [
            Say::look($outlook, $key, [$area->id], 'Bring it into the warm, look it over, and recoat if it is dull or powders', null),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'An engraved line is 0.10 to 0.15 mm deep, and its floor is coated too: so much film it takes.',
    speaks: [Severity::Think, Severity::Note],
    rests: 'Handbook 4, Film: note from 110 µm, think from 140 µm',
)]
final class FilmBudget implements Judges
{
    /** µm of dry film from which soft detail is worth a note. */
    public const NOTE_MICRONS = 110;

    /** µm from which it is a choice to think about. */
    public const THINK_MICRONS = 140;

    public function id(): string
    {
        return 'film-budget';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->context->breakdown->pieces as $piece) {
            $over = [];
            foreach ($piece->areas as $area) {
                $film = self::micronsOn($outlook, $area->id);
                if ($area->face === Face::Outside && $film > self::NOTE_MICRONS) {
                    $over[$area->id] = $film;
                }
            }
            if ($over !== []) {
                $most = max($over);
                yield new Finding($this->id(), $most > self::THINK_MICRONS ? Severity::Think : Severity::Note, sprintf('%.0f µm of paint on %s', $most, $piece->name), sprintf('%s gets up to %.0f µm of dry film; an engraved line is 100 to 150 µm deep, and past %d its edges go soft.', $piece->name, $most, self::NOTE_MICRONS), array_keys($over), [], $this->fewerCoats($outlook, $piece->id, $over), rests: (string) round($most));
            }
        }
    }

    /** µm of dry film once all is done. */
    public static function micronsOn(Outlook $outlook, string $areaId): float
    {
        return array_sum(array_map(static fn (Layer $l): float => $l->filmMicrons(), $outlook->stack($areaId)));
    }

    /**
     * One layer in fewer coats, two at least, where that alone brings every area back inside.
     *
     * @param  non-empty-array<string, float>  $over  µm by area
     * @return list<Fix>
     */
    private function fewerCoats(Outlook $outlook, string $pieceId, array $over): array
    {
        $worst = (string) array_search(max($over), $over, true);
        $fixes = [];
        foreach ($outlook->stack($worst) as $layer) {
            if (! $layer->isPlanned() || $layer->product === null || count($layer->coats) < 3) {
                continue;
            }
            for ($coats = count($layer->coats) - 1; $coats >= 2; $coats--) {
                if ($this->fits($outlook, $over, $layer, $coats)) {
                    $fixes[] = new Fix("{$layer->word()} in {$coats} coats", [...Stacks::unpins($outlook->context, $layer->operation, $layer->purpose, $pieceId, array_keys($over)), Edit::pin(new Pin(Id::from('film', $pieceId, $layer->operation->value, $layer->purpose), $layer->operation, $pieceId, $layer->purpose, product: $layer->product->id, coats: $coats))]);
                    break;
                }
            }
        }

        return array_slice($fixes, 0, 2);
    }

    /** @param  non-empty-array<string, float>  $over */
    private function fits(Outlook $outlook, array $over, Layer $fewer, int $coats): bool
    {
        foreach ($over as $area => $film) {
            foreach ($outlook->stack($area) as $layer) {
                if ($layer->operation === $fewer->operation && $layer->purpose === $fewer->purpose) {
                    foreach (array_slice($layer->coats, $coats) as $coat) {
                        $film -= $coat->filmMicrons;
                    }
                }
            }
            if ($film > self::NOTE_MICRONS) {
                return false;
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Masking\Cover;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Putty, rubber cement and liquid mask on paint they were never tried on.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Mask media: what each was tried on',
)]
final class MaskReacts implements Judges
{
    public function id(): string
    {
        return 'mask-reacts';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Mask || $step->isRemedy() || $step->medium === null) {
                continue;
            }
            foreach ($step->targets as $area) {
                $cover = Cover::with($step, $outlook->context->house);
                $medium = $step->medium;
                $why = $this->why($outlook, $area, $medium, $planned->startEpoch);
                if ($why === null && $cover !== null) {
                    [$medium, $why] = [$cover, $this->why($outlook, $area, $cover, $planned->startEpoch)];
                }
                if ($why !== null) {
                    yield $this->finding($outlook, $step, $medium, $why);
                    break;
                }
            }
        }
    }

    private function finding(Outlook $outlook, Step $step, Medium $medium, string $why): Finding
    {
        $key = (new Finding($this->id(), Severity::Think, '', '', [$step->pieceId, ...$step->targets]))->key;
        $piece = $step->pieceId;
        $purpose = $step->counted();

        return new Finding($this->id(), Severity::Think, ucfirst($medium->word()).' was never tried on this', $why, [$piece, ...$step->targets], [$step->key], [
            Say::look($outlook, $key, [$step->targets[0], ...array_slice($step->targets, 1)], "Try {$medium->word()} on a painted spoon overnight", null, Operation::Test),
            $step->medium !== $medium ? new Fix('Cover it with paper', [Edit::house('cover', 'paper-tape')]) : new Fix('Paper tape instead', [...Stacks::unpins($outlook->context, Operation::Mask, $purpose, $piece, $step->targets), Edit::pin(new Pin(Id::from('tried', $step->key), Operation::Mask, $piece, $purpose, medium: Medium::PaperTape))]),
        ]);
    }

    /** What may happen on the layer that is on top when the mask goes on; null where it is known to be well. */
    private function why(Outlook $outlook, string $areaId, Medium $medium, int $atEpoch): ?string
    {
        $top = null;
        foreach ($outlook->stack($areaId) as $layer) {
            $top = $layer->firstCoat()->atEpoch <= $atEpoch ? $layer : $top;
        }
        $product = $top?->product;
        if ($product !== null && in_array($medium->value, $product->triedOn, true)) {
            return null;
        }
        $acrylic = in_array($product?->family->below(), [Below::WaterAcrylic, Below::AlcoholAcrylic], true);
        $substrate = $outlook->context->kit->partsById[$outlook->context->kit->areasById[$areaId]->part]->substrate;

        return match (true) {
            ($medium === Medium::Putty || $medium === Medium::RubberCement) && $product !== null && ! $acrylic => "It may leave oil in {$product->name}: it is well on acrylics, on other paint it is tried first.",
            $medium === Medium::LiquidMask && $product !== null && $acrylic && $top !== null && $atEpoch < $outlook->waits->of($top, WaitKind::Cured, $outlook->final->area($areaId))->untilEpoch => "The ammonia in it dulls young acrylic: {$product->name} is not cured by then.",
            $medium === Medium::LiquidMask && $product === null && $substrate === Substrate::Brass => 'The ammonia in it dulls bare brass.',
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\LayerPlanner;
use AmberStep\Core\Log\Layer;
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

/**
 * Wet sanding takes 12 µm to flat and 3 to polish, and 15 should stay; edges carry half the film and lose three times
 * as much (handbook 4, Film). On less than that it goes through.
 */
#[Says(
    'Wet sanding takes 12 µm to flat and 3 to polish, and 15 should stay; edges carry half the film and lose three times as much. On less it goes through.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Film: 12 µm to flat, 3 to polish, 15 stay; edges half the film, three times the loss',
)]
final class BurnThrough implements Judges
{
    public const FLATTING = 12.0;

    public const POLISHING = 3.0;

    public const LEFT = 15.0;

    /** µm of clear that polishing starts from: with so much, edges are only kept off. */
    public const ENOUGH = LayerPlanner::POLISH_MICRONS;

    private const EDGE_SHARE = 0.5;

    private const EDGE_LOSS = 3.0;

    public function id(): string
    {
        return 'burn-through';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Polish || $step->isRemedy()) {
                continue;
            }
            $thin = [];
            foreach ($step->targets as $area) {
                $clear = self::clear($outlook, $area);
                if ($clear > 0) {
                    $thin[$area] = $clear;
                }
            }
            $least = $thin === [] ? self::ENOUGH : min($thin);
            $taped = Id::from('edges', $step->pieceId);
            $isTaped = array_filter($outlook->context->kit->inserted, static fn (Inserted $i): bool => $i->id === $taped) !== [];
            if ($least < self::ENOUGH && ! ($isTaped && self::inField($least) >= self::LEFT)) {
                yield $this->finding($outlook, $step, $thin, $least, $isTaped ? null : $taped);
            }
        }
    }

    /** µm that stay in the field. */
    public static function inField(float $clear): float
    {
        return $clear - self::FLATTING - self::POLISHING;
    }

    /** µm of clear over the colour. */
    private static function clear(Outlook $outlook, string $area): float
    {
        $film = 0.0;
        foreach ($outlook->stack($area) as $layer) {
            $film = $layer->operation->isVarnish() ? $film + $layer->filmMicrons() : ($layer->operation === Operation::Decal ? $film : 0.0);
        }

        return $film;
    }

    /** @param  array<string, float>  $thin */
    private function finding(Outlook $outlook, Step $step, array $thin, float $least, ?string $taped): Finding
    {
        $area = (string) array_search($least, $thin, true);
        $gloss = array_values(array_filter($outlook->stack($area), static fn (Layer $l): bool => $l->operation->isVarnish() && $l->isPlanned()))[0] ?? null;
        $name = $outlook->context->pieceName($step->pieceId);
        $key = (new Finding($this->id(), Severity::Think, '', '', [$step->pieceId]))->key;
        $loss = self::FLATTING + self::POLISHING;
        $sentence = sprintf('%.0f µm of clear lie there. An edge carries half, %.0f, and loses three times as much, %.0f; the field keeps %.0f of the %.0f that should stay.', $least, $least * self::EDGE_SHARE, self::EDGE_LOSS * $loss, max(0, self::inField($least)), self::LEFT);

        return new Finding($this->id(), Severity::Think, "Wet sanding goes through on {$name}, edges first", $sentence, [$step->pieceId], [$step->key], Say::fixes([
            $gloss?->product === null ? null : new Fix('More clear first', [...Stacks::unpins($outlook->context, $gloss->operation, $gloss->purpose, $step->pieceId, array_keys($thin)), Edit::pin(new Pin(Id::from('polish', $step->pieceId), $gloss->operation, $step->pieceId, $gloss->purpose, product: $gloss->product->id, coats: count($gloss->coats) + max(1, (int) ceil((self::ENOUGH - $least) / $gloss->lastCoat()->filmMicrons))))]),
            $taped === null || self::inField($least) < self::LEFT ? null : new Fix('Tape the edges and creases first', [Edit::insert(new Inserted($taped, Operation::Look, array_keys($thin), "Tape the edges and creases of {$name}, and polish those by hand", Operation::Polish->value, answers: $key))]),
        ]), rests: (string) round($least));
    }
}

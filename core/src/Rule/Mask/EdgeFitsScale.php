<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Practice;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'An edge unlike the subject\'s, or softer than the scale: 2 mm at 1/72 is 144 mm.',
    speaks: [Severity::Note],
    rests: 'Handbook 4: soft width times scale, 200 mm at most',
)]
final class EdgeFitsScale implements Judges
{
    /** mm on the subject: a border of oversprayed colours is seldom wider. */
    private const WIDEST_MM = 200;

    public function id(): string
    {
        return 'edge-fits-scale';
    }

    public function judge(Outlook $outlook): iterable
    {
        $kit = $outlook->context->kit;
        foreach ($kit->edges as $edge) {
            $between = Names::listed(array_map($outlook->context->areaName(...), $edge->areas));
            $real = $edge->softMm * $kit->scale;
            $soft = $edge->kind !== EdgeKind::Hard;
            $said = match (true) {
                ! $soft && $edge->subject === Practice::Sprayed => ['A hard edge where the subject was sprayed', "{$between}: on the subject that border was sprayed freehand.", 'Make it soft', [Edit::set('edges', $edge->id, 'kind', EdgeKind::Soft->value)]],
                $soft && $edge->subject === Practice::Taped => ['A soft edge where the subject was taped', "{$between}: on the subject that border was taped, and is hard at any scale.", 'Make it hard', [Edit::set('edges', $edge->id, 'kind', EdgeKind::Hard->value)]],
                $soft && $real > self::WIDEST_MM => [sprintf('%g mm soft is %.0f mm on the subject', $edge->softMm, $real), sprintf('%s: at 1/%g that is wider than a gun makes it.', $between, $kit->scale), sprintf('Make it %g mm', $this->width($kit->scale)), [Edit::set('edges', $edge->id, 'softMm', $this->width($kit->scale))]],
                default => null,
            };
            if ($said !== null) {
                yield new Finding($this->id(), Severity::Note, $said[0], $said[1], $edge->areas, [], [new Fix($said[2], $said[3])]);
            }
        }
    }

    /** mm on the model for 100 mm on the subject, to a tenth, never under 0.2. */
    private function width(float $scale): float
    {
        return max(0.2, round(100 / $scale, 1));
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Decals with nothing over them are lifted by the wash, or rubbed off by fingers.',
    speaks: [Severity::Think],
    rests: 'What lies over a decal',
)]
final class SealDecals implements Judges
{
    public function id(): string
    {
        return 'seal-decals';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->context->kit->areas as $area) {
            $stack = $outlook->stack($area->id);
            foreach ($stack as $i => $layer) {
                if (! $layer->isDecal()) {
                    continue;
                }
                $next = $stack[$i + 1] ?? null;
                if ($next === null || $next->operation->isWash()) {
                    yield $this->finding($outlook, $area->id, $layer, $next);
                }
            }
        }
    }

    private function finding(Outlook $outlook, string $area, Layer $decal, ?Layer $next): Finding
    {
        $context = $outlook->context;
        $name = $context->areaName($area);
        $piece = $context->breakdown->pieceOfArea[$area] ?? '';
        $open = $next === null || $next->isPlanned();
        $varnish = $context->shelf->pick(Role::Varnish, static fn ($p): bool => $p->family->below() === Below::WaterAcrylic, Family::WaterVarnish, Sheen::Gloss);
        $fixes = $open ? Say::fixes([
            Say::unpin($context, static fn (Pin $p): bool => in_array($p->operation, [Operation::Seal, Operation::Final], true) && $p->present === false && in_array($p->target, [null, $area, $piece], true), 'Seal them after all'),
            new Fix("Seal them with {$varnish->name}", [Edit::insert(new Inserted(Id::from('seal', $area), Operation::Seal, [$area], "Seal the decals with {$varnish->name}", $next?->operation->value ?? 'attach', product: $varnish->id))]),
        ]) : [Say::look($outlook, $this->id().':'.$area, [$area], 'Look for lifted decals before the next coat', null)];

        return new Finding($this->id(), Severity::Think, "Nothing over the decals on {$name}", $next === null ? 'Handling rubs them off.' : 'The wash creeps under their edges and lifts them.', [$area], $outlook->stepsOf($next ?? $decal), $fixes);
    }
}

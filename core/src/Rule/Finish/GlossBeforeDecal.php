<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A decal on matt or satin traps air in the texture: it silvers.',
    speaks: [Severity::Think],
    rests: 'Sheen of the top layer',
)]
final class GlossBeforeDecal implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'gloss-before-decal';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Decal) as $decal) {
            foreach ($decal->targets as $area) {
                yield from Say::all($context->steps->onWith($area, Operation::Gloss), [$decal], $this, 'Decals go on gloss: on matt they silver.');
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            if (! $above->isDecal() || $below->isDecal() || $below->sheen()->isGlossy()) {
                continue;
            }
            $context = $outlook->context;
            $key = $this->id().':'.$area->id;
            $piece = $context->breakdown->pieceOfArea[$area->id] ?? '';
            $gloss = $context->shelf->pick(Role::Varnish, static fn ($p): bool => $p->family->below() === Below::WaterAcrylic, Family::WaterVarnish, Sheen::Gloss);
            $fixes = $above->isPlanned() ? Say::fixes([
                Say::unpin($context, static fn (Pin $p): bool => $p->operation === Operation::Gloss && in_array($p->target, [null, $area->id, $piece], true), 'Gloss under the decals after all'),
                new Fix("Gloss the place with {$gloss->name} first", [Edit::insert(new Inserted(Id::from('gloss', $area->id), Operation::Gloss, [$area->id], "Gloss under the decals with {$gloss->name}", 'decal', product: $gloss->id))]),
            ]) : [Say::look($outlook, $key, [$area->id], 'Look for silver; prick, setting solution, and gloss over', null)];
            yield new Finding($this->id(), Severity::Think, "Decals on {$below->sheen()->value}", "{$below->word()} is {$below->sheen()->value}: air stays in its texture and the film silvers.", [$area->id], $outlook->stepsOf($above), $fixes);
        }
    }
}

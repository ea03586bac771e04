<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Kit\TestSurface;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\PartSteps;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** What a step is called at the bench: plain, short, imperative. */
final class Words
{
    private const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

    public static function title(Step $step, Context $context): string
    {
        if ($step->title !== null) {
            return $step->title.($step->inserted !== null && $step->of > 1 ? ', '.self::coat($step) : '');
        }
        $colour = $context->kit->colour($step->counted())->name ?? $step->product->name ?? 'paint';
        $joint = $context->kit->jointsById[$step->jointId ?? ''] ?? null;
        $product = $step->product->name ?? '';
        $place = Place::find($step->placeId ?? $step->jointId ?? '', $context->kit);

        return match ($step->operation) {
            Operation::Glue => "Close {$joint?->name} with {$joint?->glue->word()}",
            Operation::Attach => "Attach {$joint?->name} with {$joint?->glue->word()}",
            Operation::Fill => "Fill {$place?->name} with {$place?->filler()->word()}",
            Operation::CutBack => $step->throughPaint ? "Cut {$place?->name} back through the paint, feather the edge" : "Cut {$place?->name} back to the plastic",
            Operation::CheckCoat => 'Brush a dark check coat on '.($place->name ?? 'the place'),
            Operation::CheckSeam => 'Sand the check coat off '.($place->name ?? 'the place').': what stays dark is low',
            Operation::Rescribe => 'Put back '.($place === null ? 'the '.(($context->kit->featuresById[$step->target] ?? null)?->name($context->kit) ?? 'detail') : "the lines across {$place->name}"),
            Operation::Wash => $step->counted() === PartSteps::RELEASE ? 'Wash '.self::washed($step, $context).' before anything is glued' : 'Wash, rinse, set aside to dry',
            Operation::Wipe => $step->inserted === null ? 'Wipe it damp and blow it off: it is not bathed' : 'Wipe clean',
            Operation::Mount => 'Put it on its holder',
            Operation::MaskFaces => 'Plug the faces of '.($context->kit->jointsById[$step->counted()]->name ?? 'the joint'),
            Operation::Unplug => 'Take the plugs out of '.($context->kit->jointsById[$step->counted()]->name ?? 'the joint'),
            Operation::Mask => $step->purpose === MaskFor::OPENING ? 'Cover '.self::areas($step, $context).' with foam or dry tissue' : ($step->purpose === MaskFor::PANES ? 'Mask the panes with '.$step->medium?->word() : 'Cap '.self::areas($step, $context).' with '.$step->medium?->word().($step->n > 1 ? ' again' : '')),
            Operation::Unmask => $step->purpose === MaskFor::OPENING ? 'Uncover '.self::areas($step, $context) : ($step->purpose === MaskFor::PANES ? 'Bare the panes' : 'Take the '.$step->medium?->word().' off '.self::areas($step, $context)),
            Operation::Abrade => 'Abrade for a key',
            Operation::InsideColour => "Spray {$colour}, the inside colour, ".self::coat($step),
            Operation::Prime => "Prime with {$product}, ".self::coat($step),
            Operation::Inspect => $step->n > 1 ? "Look it over, round {$step->n}" : 'Look it over before '.($step->purpose === 'prime' ? 'colour' : self::before($step->purpose)),
            Operation::Preshade => "Pre-shade lines and recesses with {$colour}",
            Operation::Ground => "Spray {$colour} ground, ".self::coat($step),
            Operation::Barrier => "Spray a barrier of {$product}, ".self::coat($step),
            Operation::Colour => "Spray {$colour}, ".self::coat($step),
            Operation::Insignia => 'Spray the insignia through masks, '.self::coat($step),
            Operation::Gloss => 'Spray gloss, '.self::coat($step),
            Operation::Decal => 'Put the decals on',
            Operation::Seal => 'Seal the decals, '.self::coat($step),
            Operation::PinWash => "Pin wash with {$product}",
            Operation::Filter => "Filter with {$product}",
            Operation::Final => $step->isSprayed() ? "Spray {$step->counted()}, ".self::coat($step) : "Brush {$product} on ".self::areas($step, $context),
            Operation::Polish => 'Wet sand and polish',
            Operation::Flat => 'Flat it',
            Operation::Scrape => 'Scrape the faces of '.($context->kit->jointsById[$step->counted()]->name ?? 'the joint').' bare',
            Operation::Cabinet => $step->cabinetC !== null && $context->house->says('drying', 'warm-place') ? sprintf('Set it in a warm place, %g °C', $step->cabinetC) : sprintf('Into the cabinet at %g °C', $step->cabinetC ?? $step->inserted->cabinetC ?? 45),
            Operation::Look => 'Look at it',
            Operation::TestFit => 'Test fit '.self::part($step, $context).', mark it where it will not show',
            Operation::Soften => 'Soften '.self::part($step, $context).' in warm water',
            Operation::Trim => 'Trim '.self::part($step, $context).' while it is soft',
            Operation::Stuff => 'Stuff '.self::part($step, $context),
            Operation::FitWarm => 'Fit '.self::part($step, $context).' warm, let it cool in place',
            Operation::CloseColour => "Close {$colour}: go through its list",
            Operation::Photograph => $step->purpose === 'bare' ? 'Photograph the bare build for the show' : 'Photograph the finished build for the show',
            Operation::Test => 'Spray a test on '.($step->inserted->surface ?? TestSurface::Spoon)->word(),
            Operation::TouchUp => 'Cut it off the sprue, touch up the gates',
            Operation::Rinse => 'Rinse the gun',
            Operation::Strip => 'Strip the gun',
            Operation::Mix => "Mix {$product}",
            Operation::Discard => "Discard what is left of {$product}: its life in the cup is over",
            Operation::Score => 'Score the '.$step->medium?->word().' round its edge',
        };
    }

    /** Where it is done: the piece, or the joint, or the gun. */
    public static function where(Step $step, Context $context): string
    {
        if ($step->operation->cleansTheGun() || $step->operation === Operation::Mix) {
            return $step->operation === Operation::Mix ? 'Cup' : 'Gun';
        }
        if ($step->operation === Operation::Discard) {
            return 'Cup';
        }
        if ($step->operation->isOfTheBuild()) {
            return $step->operation === Operation::CloseColour ? 'Colour list' : 'The build';
        }
        if ($step->jointId !== null) {
            return $context->pieceName($step->pieceId);
        }
        $piece = $context->breakdown->byId[$step->pieceId] ?? null;
        $own = $piece === null ? [] : array_filter($piece->areas, static fn ($a): bool => $a->isPainted());
        $names = array_map($context->areaName(...), array_filter($step->targets, static fn (string $t): bool => isset($context->kit->areasById[$t])));

        return ($piece->name ?? '').($names !== [] && count($names) < count($own) && count($names) <= 3 ? ': '.Names::listed(array_values($names)) : '');
    }

    /** What the button says happened. */
    public static function button(Step $step): string
    {
        return match ($step->operation) {
            Operation::Glue, Operation::Attach => 'Joint is closed',
            Operation::Fill => 'Filler is in',
            Operation::CutBack => 'Cut back',
            Operation::CheckCoat => 'It is brushed on',
            Operation::CheckSeam => 'It is gone',
            Operation::Rescribe => 'It is there again',
            Operation::Wash => 'Washed',
            Operation::Wipe => 'Wiped',
            Operation::Mount => 'On its holder',
            Operation::MaskFaces => 'Faces are plugged',
            Operation::Unplug => 'Plugs are out',
            Operation::Mask => 'Mask is on',
            Operation::Unmask => 'Mask is off',
            Operation::Inspect => 'Looked over, clean',
            Operation::Decal => 'Decals are on',
            Operation::PinWash, Operation::Filter => 'Wash is on',
            Operation::Polish => 'Polished',
            Operation::Abrade, Operation::Flat => 'Flatted',
            Operation::Scrape => 'Faces are bare',
            Operation::Cabinet => 'It is in',
            Operation::Look => 'Seen to',
            Operation::Test => 'Tried',
            Operation::TouchUp => 'Gates are touched up',
            Operation::Rinse, Operation::Strip => 'Gun is clean',
            Operation::Mix => 'Cup is mixed',
            Operation::Discard => 'It is out',
            Operation::Score => 'Edge is scored',
            Operation::TestFit => 'It fits, and is marked',
            Operation::Soften => 'It is soft',
            Operation::Trim => 'Trimmed',
            Operation::Stuff => 'Stuffed',
            Operation::FitWarm => 'It keeps its shape',
            Operation::CloseColour => 'Colour is closed',
            Operation::Photograph => 'Photographs are taken',
            default => 'Coat is on',
        };
    }

    /** How it is done well, one or two sentences (handbook 1). */
    public static function technique(Step $step): string
    {
        return match ($step->operation) {
            Operation::Colour, Operation::Ground, Operation::InsideColour => $step->product?->role === Role::TintedClear ? 'Very thin, low pressure, passes that hardly show; a small lens takes one quick touch from a pick or brush instead.' : match ($step->coatKind) {
                CoatKind::Mist => 'A mist only: dry almost as it lands, so that the next coat grips. Corners, recesses and undersides first, open panels last.',
                default => 'Corners, recesses and undersides first, open panels last, in another direction than the coat before. Do not stop in the middle of a pass.',
            },
            Operation::Prime => 'Thin and even, until no plastic shows. Recesses first; stop when the colour is one.',
            Operation::Preshade => 'Along panel lines and into recesses, close and thin. It need not be neat.',
            Operation::Gloss, Operation::Seal, Operation::Final, Operation::Barrier => $step->coatKind === CoatKind::Brushed ? 'A soft flat brush, well loaded, in one direction; do not go back over it once it drags.' : ($step->coatKind === CoatKind::Wet ? 'Wet enough to level, not so wet that it runs. One uninterrupted pass; lay the piece level.' : 'Light and even: it carries the coat that follows.'),
            Operation::Insignia => 'Masks laid whole and pressed down at the edges, light colours first; close, low, across the edge and not under it. Lift each mask while its paint is fresh.',
            Operation::Mask => $step->purpose === MaskFor::OPENING ? 'Loose, so that nothing presses on the paint, and tight at the rim: dust and overspray find every gap.' : 'Press the edge down with a pointed stick; the field only has to cover.',
            Operation::Unplug => 'Out with the plugs and peg ends; look that the faces are bare plastic, scrape what crept under.',
            Operation::Unmask => $step->purpose === MaskFor::OPENING ? 'Lift it out, then blow the dust out before you look.' : 'Pull it back on itself, slowly, away from the fresh paint.',
            Operation::Decal => 'One at a time. Press the water out from the middle, and keep it wet until it lies right.',
            Operation::PinWash => 'Touch the line and let it run. Wipe what stands on the panel with a barely damp brush, along the airflow.',
            Operation::Filter => 'Thin, with a soft brush; draw it down at once, before it pools.',
            Operation::Wipe => $step->inserted === null ? 'Dust it off, a cloth wrung out in water with a drop of soap, another with clear water. No water into joints and openings.' : '',
            Operation::Wash => 'Warm water and a drop of dish soap. Rinse until it runs clear; do not touch it bare-handed after.',
            Operation::Glue, Operation::Attach => 'Test fit first; look along it for alignment.',
            Operation::Rescribe => 'Several light strokes along a guide; half the pressure where it crosses filler, which is softer or harder than the plastic.',
            Operation::Polish => 'Wet, on a block. Keep off edges and creases: they carry half the film and lose three times as much; tape them, do them by hand.',
            Operation::CheckCoat => 'Any dark paint, thin, all places of the piece in one go. If it smears under the paper it waits for the next evening.',
            Operation::CheckSeam => $step->title === null ? 'Sand until only the low spots are dark: those want filling again. Do not dig for them.' : '',
            Operation::CutBack => 'Light pressure, each grit until the scratches of the one before are gone.',
            Operation::Test => 'Same paint, thinner, gun and ground as on the model. Let it dry, then try tape and a thumbnail on it.',
            Operation::TouchUp => 'Nip, do not twist. Sand the stub flush, then the same mix with a brush, thin.',
            Operation::Discard => 'It does not come back with thinner. Clean the gun of it now, while it can be.',
            Operation::Score => 'A new blade, the lightest drag, through the paint only; all the way round before anything is lifted.',
            Operation::Rinse => 'Spray its own thinner until it comes clear, wipe the needle tip, then a little of the next paint\'s thinner.',
            Operation::Strip => 'Needle out backwards, nozzle and cup in cleaner, soft brush only; a drop of oil on the packing, none near the tip.',
            Operation::Mix => 'A flat stick, along the bottom, until nothing drags. Then the cup, stirred too: what is shaken sprays its bubbles.',
            Operation::TestFit => 'Dry, with its neighbours. What fits either way round is told apart by a mark now, not once it is painted.',
            Operation::Soften => 'The rim only, in water of about 60 °C: it is cut, not formed. It bends from 50 °C.',
            Operation::Trim => 'A new blade along the line, part held down; it cools in seconds, so warm it again rather than press.',
            Operation::Stuff => 'Firm, into every limb: cotton wool or foam, nothing that takes up water. An empty part collapses when it is heated.',
            Operation::FitWarm => 'One at a time: it is soft for seconds. About 90 °C water for 20 to 60 s, seconds to fit it, then hold it in cold water.',
            Operation::CloseColour => 'Look at each part and face on the list before the gun is washed: what is forgotten now comes out in a slightly different shade.',
            Operation::Photograph => 'Every side, daylight, a ruler in the picture.',
            Operation::Inspect => 'Under a raking light, every side: scratches, gaps, dust, bare places.',
            default => '',
        };
    }

    /** What of a piece has to be washed before it is joined to anything: what came out of a mould with something on it. */
    private static function washed(Step $step, Context $context): string
    {
        $parts = array_filter($context->breakdown->byId[$step->pieceId]->parts ?? [], static fn (Part $p): bool => $p->substrate->hasRelease());

        return Names::listed(array_values(array_map(static fn (Part $p): string => $p->name, $parts)));
    }

    /** The part a step is about: its name, and where it belongs. */
    private static function part(Step $step, Context $context): string
    {
        $part = $context->kit->partsById[$step->counted()] ?? null;
        $place = $part?->place() ?? '';

        return ($part->name ?? 'the part').($place === '' ? '' : " ({$place})");
    }

    private static function coat(Step $step): string
    {
        $ordinal = self::ORDINALS[$step->n] ?? $step->n.'th';
        $kind = $step->coatKind === null || $step->operation === Operation::Prime ? '' : $step->coatKind->value.' ';

        return $step->of === 1 ? 'one '.$kind.'coat' : $ordinal.' '.$kind.'coat';
    }

    private static function before(string $purpose): string
    {
        return $purpose === 'final' ? 'the final coat' : $purpose;
    }

    private static function areas(Step $step, Context $context): string
    {
        $names = array_map($context->areaName(...), $step->targets);

        return count($names) > 3 ? count($names).' areas' : Names::listed($names);
    }
}

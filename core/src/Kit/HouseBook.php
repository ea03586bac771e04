<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Handbook 5: where good modellers disagree, as far as it bears on the plan and on how its steps are done. */
final class HouseBook
{
    private const BOOK = [
        'primer' => ['When do you prime?', 'primer and inspection steps, last grit before paint', [
            'always' => ['Always', 'One ground for every colour, and it shows what was missed.'],
            'where-needed' => ['Where a rule needs it', 'Metal, sheet, resin and weak colours; a coat less of film everywhere else.'],
            'never' => ['Never, polish the plastic', 'The sharpest detail there is; every scratch must be gone first.'],
        ]],
        'primer-coat' => ['How does primer go on?', 'coat kind and flash of the primer', [
            'nearly-dry' => ['Nearly dry on contact', 'It cannot pool in a line or run from an edge.'],
            'wet' => ['Wet and levelling', 'Smoother under gloss; it wants a longer flash and a level piece.'],
        ]],
        'inspection' => ['How many looks after primer?', 'rounds of inspection', [
            'until-clean' => ['Until a look finds nothing', 'What is found in colour costs five times as much.'],
            'one' => ['One', 'The first look finds most of it.'],
            'none' => ['None', 'For a quick build that is seen from an arm away.'],
        ]],
        'low-spot' => ['A low spot in primer?', 'the remedy after a look that found something', [
            'fill' => ['Fill it', 'The surface round it stays as it is; the filler has to set first.'],
            'sand-down' => ['Sand the rest down to it', 'Nothing to set and nothing that shrinks; detail round it goes with it.'],
        ]],
        'sanding' => ['Sand dry or wet?', 'cutting and flatting steps, dust', [
            'dry-then-wet' => ['Dry, wet for the last', 'Dry shows what is left to cut; wet takes the last scratches out.'],
            'wet' => ['Wet throughout', 'No dust and the paper lasts; the piece has to dry before it can be judged.'],
            'dry' => ['Dry', 'The surface can be read at every stroke; the dust wants a mask and a wipe.'],
        ]],
        'panes' => ['Panes: glue or mask first?', 'order of gluing and masking, glue', [
            'glue-then-mask' => ['Glue, then mask', 'The frame is painted with the hull and the joint closes under paint.'],
            'mask-first' => ['Mask first, attach with white glue', 'No cement near a pane, and a spoilt one comes off again.'],
        ]],
        'sprue' => ['Paint on or off the sprue?', 'holders, touch-up of gates', [
            'off' => ['Off', 'Every gate is cleaned before paint and nothing is touched up.'],
            'on' => ['Small parts on the sprue, touch up the gates', 'The sprue is the holder; a dot of paint on each gate later.'],
        ]],
        'thinning' => ['How thin are water acrylics sprayed?', 'ratio, coats, pressure', [
            'label' => ['As the label says', 'It covers in the coats the label promises.'],
            'thinner' => ['Thinner, one coat more, lower pressure', 'Finer edges and no grain, for a coat more of waiting.'],
        ]],
        'hardener' => ['Hardener in enamel?', 'waits, pot life, cleaning', [
            'no' => ['No', 'It keeps in the jar and can be touched up for years.'],
            'yes' => ['Yes', 'Tape in a day instead of two; what is mixed is dead in hours.'],
        ]],
        'pouring' => ['What goes into the cup first?', 'order in the cup', [
            'thinner-first' => ['Thinner', 'No thick paint sits in the nozzle where the brush does not reach.'],
            'paint-first' => ['Paint', 'The paint is measured in a dry cup, and thinned until it runs right.'],
        ]],
        'lid' => ['Cup lid?', 'how the level is watched', [
            'off' => ['Off, to watch the level', 'A pass is never begun with less than it needs.'],
            'on' => ['On', 'Nothing spills and nothing dries; look before every pass.'],
        ]],
        'light-first' => ['Light or dark first?', 'order of the colours', [
            'by-cost' => ['By what it costs', 'The order with the least coats, masks and evenings over the whole model; light before dark where it makes no odds.'],
            'always' => ['Always light first', 'One order to remember, whatever has to be capped for it.'],
            'own' => ['As I put them', 'Your own order, set at the Masks; what it costs more is said there.'],
        ]],
        'evening' => ['What is an evening of waiting worth?', 'order of the colours', [
            '30' => ['Half an hour of work', 'Worth a mask or a coat more, not an afternoon of both.'],
            '0' => ['Nothing', 'There are other models to work on meanwhile.'],
            '240' => ['Two evenings of work', 'The show is near: rather more masks and coats than one more evening.'],
        ]],
        'camouflage' => ['How are soft edges made?', 'mask medium, minutes', [
            'held-off' => ['To scale: rolled putty or paper held off', 'The soft edge is as wide as the scale wants, everywhere.'],
            'taped' => ['Taped hard', 'Clean and quick, right where the subject was taped.'],
            'freehand' => ['Freehand', 'The liveliest edge; the gun must be set fine.'],
        ]],
        'cover' => ['What covers the field behind an edge?', 'mask medium, minutes, longest stay', [
            'paper-tape' => ['Paper and tape', 'Quick, cheap, and it may stay for a week.'],
            'rubber-cement' => ['Rubber cement', 'It follows any shape; off within a day, tried on oil and lacquer.'],
            'film' => ['Film all over', 'One sheet, cut along the line on the model: no step between edge and cover.'],
        ]],
        'patterns' => ['Fine patterns in film?', 'how small masks are laid', [
            'on-model' => ['Weed on the model', 'The film keeps its shape until it lies; small pieces do not stretch.'],
            'on-sheet' => ['Weed on the sheet', 'Cutting and weeding are done at the desk; each piece is laid by itself.'],
        ]],
        'bought-masks' => ['Masks of bought sets?', 'masks of panes', [
            'tack-off' => ['Tack taken off on the hand', 'A new mask holds harder than young paint and glued panes.'],
            'as-they-come' => ['As they come', 'The edge is tightest when its glue is fresh.'],
        ]],
        'liquid-mask' => ['Liquid mask?', 'minutes of masking', [
            'brush' => ['Brush', 'It goes where it is put.'],
            'spray' => ['Spray', 'A large field in one go; the line is cut afterwards, and the gun washed at once.'],
        ]],
        'insignia' => ['Insignia?', 'steps and layers of markings', [
            'decals' => ['Decals', 'Sharp and complete out of the water; they want gloss under and over them.'],
            'masks' => ['Paint masks', 'No film and no silvering; each colour is masked and sprayed.'],
            'mixed' => ['Paint the large, decal the small', 'Paint where a decal would fold, decals where a mask would tear.'],
        ]],
        'barrier' => ['What goes under a wash?', 'layers', [
            'gloss' => ['Gloss', 'The wash runs along the line and wipes off the panel.'],
            'satin' => ['Satin', 'Enough to run, and no shine to kill later.'],
            'none' => ['Nothing where families differ', 'A layer less; the wash tints the panel a little.'],
        ]],
        'wash' => ['What is the wash?', 'families, waits', [
            'oil' => ['Artist oil and white spirit', 'Hours to move it about; days until it is dry.'],
            'enamel' => ['Ready enamel wash', 'One evening to work it, dry in two days.'],
            'acrylic' => ['Water acrylic', 'Dry in minutes; it cannot be lifted again.'],
        ]],
        'seam-check' => ['How is a seam checked?', 'steps at seams', [
            'odd-paint' => ['A coat of odd-coloured paint', 'It shows the step and the hollow, and sands off again.'],
            'primer' => ['With the primer', 'One coat for both; what it shows is sanded through primer.'],
            'pen-light' => ['Pen and raking light', 'Nothing to dry; it needs a good eye.'],
        ]],
        'etch' => ['Bare etch and metal?', 'steps before primer, primer', [
            'lacquer-primer' => ['Lacquer primer', 'It bites without touching the detail.'],
            'abrade' => ['Abrade', 'Any primer holds on a keyed surface; thin etch bends.'],
            'both' => ['Both', 'For what is handled: the surest hold.'],
        ]],
        'cabinet' => ['How warm is the cabinet?', 'waits of pieces put into it', [
            '45' => ['45 °C', 'Styrene takes it, and a wait shrinks to a quarter.'],
            '40' => ['40 °C', 'For clear parts, resin and a thermometer one does not trust.'],
            'none' => ['No cabinet', 'Nothing warps in a room.'],
        ]],
        'drying' => ['Where does paint dry?', 'waits before masking, decals and polish', [
            'room' => ['In the room', 'Nothing to warp, nothing to watch.'],
            'box-then-cabinet' => ['Closed box for a night, then the cabinet', 'No dust while it is soft, and solvent leaves before the heat can blister it.'],
            'cabinet' => ['Cabinet as soon as it may', 'The shortest evenings; mind the plastic and what is masked.'],
            'warm-place' => ['A warm place, 28 °C', 'Half the wait of a cool room with nothing that can burn.'],
        ]],
        'gun' => ['How is the gun cleaned?', 'cleaning steps', [
            'rinse' => ['Rinse until clear, strip now and then', 'Every strip wears needle and packing.'],
            'strip-evening' => ['Strip every evening', 'Nothing is ever left to dry in the nozzle.'],
        ]],
        'back-flush' => ['Back-flush the gun?', 'cleaning steps', [
            'yes' => ['Yes', 'It lifts what sits behind the needle into the cup.'],
            'no' => ['No', 'It blows paint past the packing; clear thinner forward does the same.'],
        ]],
        'leftover' => ['Thinned paint left over?', 'what cleaning does with the rest', [
            'bin' => ['Bin', 'Thinner in the jar shortens its life.'],
            'jar' => ['Back to its jar, unhardened and clean', 'A mixed shade is worth keeping; a label says how thin it is.'],
        ]],
        'hidden' => ['When is a ground hidden?', 'coats', [
            'usual' => ['Under ΔE00 1.5', 'A trained eye sees no difference across the panel.'],
            'close' => ['Under ΔE00 1, for a close show', 'Judged from a hand\'s breadth, under white light.'],
            'weathered' => ['Under ΔE00 3, under weathering', 'Washes and filters cover more than that.'],
        ]],
        'tones' => ['A large ship or tank in one colour?', 'recipes', [
            'varied' => ['Varied tones', 'The last coat a touch lighter above, a touch darker below: one flat colour looks like a toy.'],
            'uniform' => ['Uniform', 'Fresh from the yard, and touch-ups match.'],
        ]],
        'estimate' => ['How is paint estimated?', 'amounts', [
            'area' => ['By area', 'The film each surface takes, and what reaches it.'],
            'count' => ['By counting call-outs', 'Quick on paper; a medium part counts two, and each count stands for 12.5 cm².'],
        ]],
        'tape-off' => ['When does tape come off?', 'holds before unmasking', [
            'touch-dry' => ['Once the last coat is touch dry', 'Nothing smears, and the edge is still soft enough to part.'],
            'soft' => ['While the last coat is still soft', 'The paint lets go at the edge and leaves no step; a hand that slips smears it.'],
        ]],
        'darkened-lines' => ['Darken lines before colour?', 'pre-shade', [
            'no' => ['No', 'A coat less, and the wash does it afterwards.'],
            'pale' => ['Yes, under pale colours', 'Recesses stay dark under a thin pale coat; under dark ones it is work nobody sees.'],
        ]],
        'shading' => ['Shading?', 'how the last coat goes on', [
            'flat' => ['Flat', 'The tone of the jar; light and wash do the rest.'],
            'above-below' => ['Lighter above, darker below', 'What daylight would do at full size.'],
            'panels' => ['Panel by panel', 'The middle of each panel lighter: lively, and easily too much.'],
        ]],
        'weathering' => ['Weathering?', 'final coat', [
            'sealed' => ['Sealed with matt', 'It can be handled, and has one sheen.'],
            'open' => ['Left open', 'The deepest look; it is handled by its base from then on.'],
        ]],
        'first-faces' => ['Which faces are sprayed first?', 'order of faces in a coat', [
            'hollows' => ['Hollows and underside', 'What is hard to reach is covered before the open faces are wet.'],
            'held' => ['The face it will be held by', 'It is touch dry when the piece is turned over onto it.'],
        ]],
        'base' => ['The base?', 'order of gluing', [
            'last' => ['Fixed last', 'The model is turned in the hand until the end.'],
            'first' => ['First, as the handle', 'Nothing of the model is touched again.'],
        ]],
        'tape-after' => ['When does tape go on?', 'holds before masking', [
            'table' => ['By the table', 'What the family typically needs.'],
            'week' => ['A week for aerosol and enamel', 'Thick films give off solvent for days.'],
            'few-hours' => ['After a few hours', 'Thin coats, low-tack tape, and a test on a spoon.'],
        ]],
    ];

    /** @return array<string, HouseQuestion> by id, in the order of the work */
    public static function questions(): array
    {
        $questions = [];
        foreach (self::BOOK as $id => [$title, $changes, $positions]) {
            $questions[$id] = new HouseQuestion($id, $title, $changes, array_map(static fn (int|string $p, array $said): HousePosition => new HousePosition((string) $p, $said[0], $said[1]), array_keys($positions), $positions));
        }

        return $questions;
    }

    /** @return list<string> the positions on a question, the default first; none where there is no such question */
    public static function positions(string $question): array
    {
        return array_map(strval(...), array_keys(self::BOOK[$question][2] ?? []));
    }
}

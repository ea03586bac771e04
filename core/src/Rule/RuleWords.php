<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

/** What each rule of the trade is about, in a sentence for the bench: for the finder, and for a rule that is looked up while it is silent. */
final class RuleWords
{
    private const SAYS = [
        'acrylic-wash-stays' => 'A water-acrylic wash works in minutes and cannot be lifted afterwards.',
        'amounts-contradict' => 'What was poured is not the ratio that was stated: the smallest addition puts it right.',
        'ballast' => 'A model on a nose wheel sits on its tail unless something heavy goes into the nose before the hull is closed.',
        'barrier-before-wash' => 'White spirit melts enamel and oil for weeks: a coat of another family goes between, and is tape-safe first.',
        'blocked-by-assembly' => 'What the gun cannot see once a joint is closed is painted before it is.',
        'booklet-order' => 'Gluing goes by the booklet, since the fit depends on it; any stronger rule may turn it round.',
        'bottle-mixed' => 'Pigment sinks while a jar stands: stirred to the bottom before the first coat out of it, or the colour is another.',
        'burn-through' => 'Wet sanding takes 12 µm to flat and 3 to polish, and 15 should stay; edges carry half the film and lose three times as much. On less it goes through.',
        'clean-gear' => 'A gun dropped, a can blocked, a part not there: what needs it waits a day, and the rest of the evening goes on.',
        'clear-glue-then-mask' => 'A clear part is glued, set, then masked: cement creeps under a mask. The other school masks first and attaches with clear glue.',
        'clear-inside-first' => 'What is seen through the pane goes on the outside of a frame first, under primer and colour.',
        'clear-no-fog' => 'Superglue and wet cement fog panes: near them, glue that has no vapour.',
        'clear-then-wait' => 'Clear is polished when it is cured: solvent that still leaves sinks and prints.',
        'coarse-primer-cut' => 'The grain of a coarse surfacer shows through colour: it is sanded first.',
        'decal-dry' => 'Decals go on gloss that is tape-safe, and dry 24 h before anything covers them.',
        'dust' => 'Nobody sands in a room where paint is tacky: the dust settles in it.',
        'edge-fits-scale' => 'An edge unlike the subject\'s, or softer than the scale: 2 mm at 1/72 is 144 mm.',
        'enamel-window' => 'Enamel and two-part take another coat early or late; between the windows they wrinkle or do not bond.',
        'features-done' => 'A part with a list of panel lines, rivets or welds is not closed under primer while one of them is unticked.',
        'filler-set' => 'Filler is cut back once it is through, since a skin drags out; and superglue before it is harder than the plastic.',
        'film-budget' => 'An engraved line is 0.10 to 0.15 mm deep, and its floor is coated too: so much film it takes.',
        'first-coat-mist' => 'The first coat of a colour is a mist: it grips, and what follows does not run.',
        'fit-first' => 'Where the booklet leaves the order free, what fits worst is glued first, while both its sides can be reached.',
        'fix-runs-hard' => 'A run, a speck or grain is left to harden before it is flatted: rubbing wet paint makes it worse.',
        'flash-off' => 'Coats flash off before the next of the same product, and wait their recoat time before another.',
        'forgotten-part' => 'Mirrors, lamp bases, filler caps: what is forgotten while the colour is in the gun comes out in another shade.',
        'fragile-last' => 'Aerials, rails, rods and etched parts that stick out are attached after masking and handling.',
        'gloss-before-decal' => 'A decal on matt or satin traps air in the texture: it silvers.',
        'glue-fits' => 'PETG, vinyl, resin, metal: never cement.',
        'glue-set' => 'A joint is left alone until it can be handled, and not sanded or loaded before it has its full strength.',
        'ground-shows' => 'The coats planned do not hide what lies under them: more coats, or a better ground.',
        'halo' => 'A ring in the primer round filler is a gap, a stain or nothing: a dark coat on it tells which, before more paint hides it.',
        'handed-part' => 'Parts that fit either way round, or in one of several slots: tried and marked before glue, ticked off as they are fitted.',
        'handle-first' => 'Count what each piece needs to stand on before mixing any paint: fingers in paint otherwise.',
        'heat-limit' => 'A cabinet above the plastic\'s limit warps it; wet solvent in the warm burns.',
        'hidden-light' => 'Light comes through grilles, gaps and lamps: what lies behind them is dark before it is closed.',
        'inspect-between' => 'After primer, before gloss and before the final coat the piece is looked over: the last cheap moment.',
        'joint-faces-bare' => 'Cement needs bare plastic; any other glue is as strong as the paint it sits on.',
        'late-thinner' => 'Extra thinner for a last coat: it flows out on a solid colour, and carries the flakes of a metallic off its edges.',
        'light-then-dark' => 'Light before dark where areas meet: dark hides light in fewer coats than the other way round. Not under metallics.',
        'mask-in-heat' => 'Tape bakes on in a cabinet: its glue flows and stays.',
        'mask-reacts' => 'Putty, rubber cement and liquid mask on paint they were never tried on.',
        'metal-needs-key' => 'Water, alcohol and enamel paint draw back from raised edges of bare metal.',
        'metallic-no-flood' => 'A wet or extra thin coat of a metallic over paint that is still soft: the flakes swim and leave the edges.',
        'not-before' => 'What you set not before a time waits for it; a time given exactly is kept, and what it breaks is said.',
        'one-pass-one-cup' => 'A pass over a large surface is never interrupted: where one cup does not hold it, the next is ready, and it breaks at an edge.',
        'option-parts' => 'The kit offers alternatives: until one is chosen all of them are planned; what is not chosen is parked.',
        'paint-gun-clean' => 'What is in the gun comes out before another paint goes in, and before it sets.',
        'panes-last' => 'Panes stay covered until the last sprayed coat, matt included: matt frosts clear.',
        'plastic-bleeds' => 'Dye of strongly coloured plastic climbs for weeks into pale colours of a solvent family.',
        'porous-filler-sealed' => 'Water putty drinks paint: without primer or a sealing coat over it, it shows as a dull patch.',
        'pot-life' => 'What has hardener in it dies in the cup: a spraying that takes longer than it lives wants two mixes.',
        'preshade-shows' => 'Pre-shade nobody will see: under a dark colour, or under more coats than it takes to hide it.',
        'primer-on-coloured-plastic' => 'A heavy coat of solvent primer checks coloured and soft plastic: thin coats do not.',
        'real-detail' => 'A line where no joint is, or on clear plastic, may belong there: it is looked at before it is sanded off.',
        'reserve' => 'A mixed colour is never matched again: a fifth is kept for touch-ups while masking or assembly is still to come.',
        'room' => 'Paint sprayed in air that is too cold, too damp or near its dew point: no film, blush, dust in wet paint.',
        'same-colour-together' => 'Areas of one colour on different pieces are sprayed together, from one mix: shade differs by batch, coats and weather.',
        'sand-safe' => 'Sanding waits for sand-safe paint; a remedy waits for the state it names.',
        'seal-decals' => 'Decals with nothing over them are lifted by the wash, or rubbed off by fingers.',
        'seam-before-paint' => 'A joint that must vanish is glued, filled, cut back and checked before the first paint.',
        'show-rule' => 'What a show asks for has its place in the plan; what it forbids is parked and its steps are gone.',
        'slick-sheet-needs-bite' => 'Paint chips off PETG and acrylic sheet unless its first coat bites.',
        'soft-vinyl' => 'Enamel and oil never dry on soft vinyl; lacquer and alcohol acrylic may not. Water acrylic does.',
        'solvent-attack' => 'The next coat\'s liquid attacks the one below in the state it is in.',
        'tape-overstays' => 'A mask that stays longer than its medium allows: its glue creeps, or it marks the paint.',
        'tape-safe' => 'Tape goes on paint that is tape-safe, down to its lowest layer: else it lifts or marks.',
        'test-first' => 'A pair of paint and ground that is not sure: a spoon of it first, once for each pair.',
        'test-surface' => 'A test on paper lies: paper drinks.',
        'thinner-fits' => 'A thinner outside the family\'s list: water acrylic curdles in alcohol or lacquer thinner.',
        'too-early' => 'What was done while a hold forbade it: never refused, always said.',
        'touch-dry' => 'A piece is handled when all of it is touch dry, with all that is attached to it.',
        'trade-order' => 'A layer goes on the one below it; remedies come before what follows; what is joined last is finished first.',
        'two-readings' => 'A figure or a name of a recipe can be read two ways: it asks, and the recipe stays unverified until somebody answers.',
        'uncovered' => 'Areas that are not to be sprayed in a stage are covered before it.',
        'unmask-when' => 'A mask comes off when no later colour needs it: coat over it touch dry, before twice its tape-safe time.',
        'vinyl-stuffed' => 'Hollow vinyl is stuffed before it is formed or glued: empty it collapses.',
        'vinyl-touches' => 'Soft vinyl melts the styrene, panes and paint it rests on, unless water acrylic lies between.',
        'wash-dry-before-paint' => 'A piece is washed after sanding and dry before paint: 24 h in the room, 4 h once blown off.',
        'wash-flows-on-gloss' => 'A pin wash runs along lines on gloss and stains on matt; a filter wants the tooth of matt or satin.',
        'wipe-strips' => 'Alcohol, cleaner or solvent on acrylic paint, acrylic sheet or clear parts takes off what it should clean.',
        'your-order' => 'What you set before something else comes before it; what contradicts the trade is a stop.',
    ];

    /** "Tape overstays" */
    public static function name(Rule $rule): string
    {
        return ucfirst(str_replace('-', ' ', $rule->id()));
    }

    public static function of(Rule $rule): string
    {
        return self::SAYS[$rule->id()] ?? throw new \LogicException("{$rule->id()} has no words");
    }
}

import type { Kit } from '../api/types';
import type { GridColumn, GridRow } from './Grid';

export type ListName = 'areas' | 'parts' | 'joints' | 'edges' | 'colours' | 'pieces';

export interface Table {
    list: ListName;
    title: string;
    columns: GridColumn[];
    rows: GridRow[];
    empty: string;
}

const YES = ['yes', 'no'];
const SUBSTRATES = ['styrene', 'ABS', 'clear styrene', 'acrylic sheet', 'PETG sheet', 'soft vinyl', 'brass', 'aluminium', 'white metal', 'resin', 'printed resin'];
const GLUES = ['thin cement', 'slow cement', 'superglue', 'clear glue', 'epoxy'];
const FILLERS = ['surfacer', 'solvent putty', 'superglue with powder', 'superglue with accelerator', 'water putty', 'epoxy putty', 'clear glue', 'acrylic filler', 'light-cured filler', 'card shim'];
const CURVES = ['flat', 'bent', 'compound', 'fiddly'];

const flag = (on: boolean): string => (on ? 'yes' : '');
const words = (text: string | null): string => (text ?? '').replaceAll('-', ' ');

/** The kit as tables: what stands in a cell is what can be typed into it. */
export function tablesOf(kit: Kit): Table[] {
    const colour = (id: string | null): string => kit.colours.find((c) => c.id === id)?.name ?? '';
    const product = (id: string): Kit['products'][number] | undefined => kit.products.find((p) => p.id === id);
    const part = (id: string): string => kit.parts.find((p) => p.id === id)?.name ?? '';
    const area = (id: string | null): string => kit.areas.find((a) => a.id === id)?.name ?? '';
    const colours = kit.colours.map((c) => c.name);
    const proposed = new Map(kit.proposed.stands.map((s) => [s.of, s.sum]));

    return [
        {
            list: 'areas',
            title: 'Areas',
            empty: 'No area yet: type a line such as hull / upper A, 84, sea grey.',
            columns: [
                { field: 'part', title: 'Part', fixed: true },
                { field: 'name', title: 'Area' },
                { field: 'size', title: 'cm²', numeric: true, options: ['XS', 'S', 'M', 'L', 'XL'] },
                { field: 'colour', title: 'Colour', options: colours },
                { field: 'ground', title: 'On', options: colours },
                { field: 'preshade', title: 'Pre-shade', options: colours },
                { field: 'insideColour', title: 'Inside colour', options: colours },
                { field: 'decals', title: 'Decals', options: YES },
                { field: 'wash', title: 'Wash', options: ['pin wash', 'filter'] },
                { field: 'sheen', title: 'Sheen', options: ['matt', 'satin', 'semi-gloss', 'gloss'] },
                { field: 'polish', title: 'Polish', options: YES },
                { field: 'face', title: 'Face', options: ['outside', 'inside', 'pane', 'joint face'] },
                { field: 'curve', title: 'Curve', options: CURVES },
            ],
            rows: kit.areas.map((a) => ({
                id: a.id,
                proposed: proposed.get(a.id),
                swatch: product(kit.colours.find((c) => c.id === a.intent.colour)?.product ?? '')?.swatch ?? null,
                cells: {
                    part: part(a.part), name: a.name, size: a.cm2 === null ? a.size : String(a.cm2), colour: colour(a.intent.colour), ground: colour(a.intent.ground), preshade: colour(a.intent.preshade),
                    insideColour: colour(a.intent.insideColour), decals: flag(a.intent.decals), wash: a.intent.wash === 'pin' ? 'pin wash' : (a.intent.wash ?? ''), sheen: a.intent.sheen ?? '', polish: flag(a.intent.polish), face: words(a.face), curve: a.curve,
                },
                ...(a.logged > 0 ? { warn: `${a.logged} ${a.logged === 1 ? 'record' : 'records'} of the log are about it` } : {}),
            })),
        },
        {
            list: 'parts',
            title: 'Parts',
            empty: 'Parts come with their areas; a line such as part grille, brass, no E4, lets light adds one alone.',
            columns: [
                { field: 'name', title: 'Part' },
                { field: 'substrate', title: 'Made of', options: SUBSTRATES },
                { field: 'number', title: 'No' },
                { field: 'bookletStep', title: 'Step', numeric: true },
                { field: 'mouldedColour', title: 'Moulded in' },
                { field: 'slot', title: 'Slot' },
                { field: 'hand', title: 'Hand' },
                { field: 'fragile', title: 'Fragile', options: YES },
                { field: 'stressed', title: 'Stressed', options: YES },
                { field: 'letsLight', title: 'Lets light', options: YES },
                { field: 'count', title: 'How many', numeric: true },
                { field: 'grip', title: 'Grip', options: ['hole', 'tab', 'flat back', 'open below', 'none'] },
                { field: 'origin', title: 'From', options: ['kit', 'added', 'base'] },
                { field: 'hollow', title: 'Hollow', options: YES },
                { field: 'inside', title: 'Inside' },
                { field: 'option', title: 'Only with' },
            ],
            rows: kit.parts.map((p) => ({ id: p.id, proposed: proposed.get(p.id), cells: { name: p.name, substrate: words(p.substrate), number: p.number ?? '', bookletStep: p.bookletStep === null ? '' : String(p.bookletStep), mouldedColour: p.mouldedColour ?? '', slot: p.slot ?? '', hand: p.hand ?? '', fragile: flag(p.fragile), stressed: flag(p.stressed), letsLight: flag(p.letsLight), count: p.count === 1 ? '' : String(p.count), grip: words(p.grip), origin: p.origin, hollow: flag(p.hollow), inside: part(p.inside ?? ''), option: p.option ?? '' } })),
        },
        {
            list: 'joints',
            title: 'Joints',
            empty: 'No joint yet: type a line such as wing root: hull + wing, seam, gap 0.2, 9 long.',
            columns: [
                { field: 'name', title: 'Joint' },
                { field: 'between', title: 'Between', fixed: true },
                { field: 'kind', title: 'Kind', options: ['seam', 'line'] },
                { field: 'closed', title: 'Closed', options: ['before paint', 'after paint', 'undecided'] },
                { field: 'glue', title: 'Glue', options: GLUES },
                { field: 'carriesLoad', title: 'Load', options: YES },
                { field: 'gapMm', title: 'Gap, mm', numeric: true },
                { field: 'lengthCm', title: 'Length, cm', numeric: true },
                { field: 'filler', title: 'Filler', options: FILLERS },
                { field: 'step', title: 'Step', numeric: true },
                { field: 'pins', title: 'Pins', options: YES },
                { field: 'removable', title: 'Comes off', options: YES },
                { field: 'bestSide', title: 'Best side' },
                { field: 'because', title: 'So the plan has it', fixed: true },
            ],
            rows: kit.joints.map((j) => ({ id: j.id, proposed: proposed.get(j.id), cells: { name: j.name, between: j.parts.map(part).join(' + '), kind: j.kind, closed: j.closed === 'before' ? 'before paint' : j.closed === 'after' ? 'after paint' : 'undecided', glue: words(j.glue), carriesLoad: flag(j.carriesLoad), gapMm: j.gapMm === 0 ? '' : String(j.gapMm), lengthCm: j.lengthCm === 0 ? '' : String(j.lengthCm), filler: words(j.filler), step: j.step === null ? '' : String(j.step), pins: flag(j.pins), removable: flag(j.removable), bestSide: j.bestSide ?? '', because: `${j.beforePaint ? 'before paint' : 'after paint'}: ${j.because}` } })),
        },
        {
            list: 'edges',
            title: 'Edges',
            empty: 'No edge yet: say it on the line of an area, such as soft 240 to upper B.',
            columns: [
                { field: 'from', title: 'Area', fixed: true },
                { field: 'to', title: 'And', fixed: true },
                { field: 'kind', title: 'Edge', options: ['hard', 'soft', 'feathered'] },
                { field: 'mm', title: 'Length, mm', numeric: true },
                { field: 'softMm', title: 'Width, mm', numeric: true },
                { field: 'curve', title: 'Curve', options: CURVES },
                { field: 'subject', title: 'On the subject', options: ['sprayed', 'taped'] },
            ],
            rows: kit.edges.map((e) => ({ id: e.id, cells: { name: `${area(e.areas[0] ?? null)} and ${area(e.areas[1] ?? null)}`, from: area(e.areas[0] ?? null), to: area(e.areas[1] ?? null), kind: e.kind, mm: String(e.mm), softMm: String(e.softMm), curve: e.curve, subject: e.subject ?? '' } })),
        },
        {
            list: 'colours',
            title: 'Colours',
            empty: 'No colour yet: name a paint of the shelf on the line of an area.',
            columns: [
                { field: 'colour', title: 'Colour', fixed: true },
                { field: 'name', title: 'Called' },
                { field: 'product', title: 'Paint', options: kit.products.map((p) => p.name) },
                { field: 'family', title: 'Family', fixed: true },
                { field: 'level', title: 'Left', fixed: true, numeric: true },
                { field: 'mustMatch', title: 'Must match', options: YES },
                { field: 'code', title: 'Booklet code' },
                { field: 'areas', title: 'Areas', fixed: true, numeric: true },
            ],
            rows: kit.colours.map((c) => {
                const paint = product(c.product);
                const on = kit.areas.filter((a) => a.intent.colour === c.id);

                return { id: c.id, swatch: paint?.swatch ?? null, cells: { colour: '', name: c.name, product: paint?.name ?? '', family: paint?.familyWord ?? '', level: paint?.levelMl == null ? '' : `${paint.levelMl} ml`, mustMatch: flag(c.mustMatch), code: c.code ?? '', areas: String(on.length) } };
            }),
        },
        {
            list: 'pieces',
            title: 'Pieces',
            empty: 'Pieces follow from the parts and their joints.',
            columns: [
                { field: 'name', title: 'Piece' },
                { field: 'holder', title: 'On', options: ['clip', 'peg', 'stick', 'board', 'keel', 'stand'] },
                { field: 'heldBy', title: 'Held by' },
                { field: 'parts', title: 'Parts', fixed: true },
                { field: 'areas', title: 'Areas', fixed: true, numeric: true },
                { field: 'cm2', title: 'cm²', fixed: true, numeric: true },
            ],
            rows: kit.pieces.map((p) => ({ id: p.id, cells: { name: p.name, holder: p.holder ?? '', heldBy: p.heldBy ?? '', parts: p.parts.join(', '), areas: String(p.areas), cm2: String(p.cm2) } })),
        },
    ];
}

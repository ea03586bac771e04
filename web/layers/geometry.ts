import type { Plan, RowKind, Section, SectionColumn } from '../api/types';
import { alike } from './alike';

/** Width of the row names, px: their longest line decides between these. */
const LABELS = [132, 212] as const;
/** px a letter takes: of a row's name, of an area's name, of a piece's name turned upright. */
const ROW_LETTER = 6.9;
const FOOT_LETTER = 6.9;
const PIECE_LETTER = 6.1;
/** Letters of a name in the drawing; longer ones are told whole beside it. */
export const LONGEST = 40;
/** Names under the columns lean by 58 degrees: how far they reach down and to the left for each px of length. */
const DOWN = 0.85;
const ASIDE = 0.53;
const HEAD = 34;
/** Letters of a row's name in one line. */
const ONE_LINE = 29;
/** px of a line more. */
const LINE = 13;
const FOLDED = 24;
const GAP = 7;
/** With the gap beside it 24 px: the head of a piece of one column can still be pressed alone. */
const ALONE = 17;
const LOWEST = 0.6;
/** px a row's name needs. */
const ONE_ROW = 14;
/** A column narrower than this is drawn together with its like. */
const NARROW = 17;

/** Height of a row by what it shows: masks and seams are thin, layers thick enough to read. */
export function rowHeight(kind: RowKind): number {
    return kind === 'mask-on' || kind === 'mask-off' ? 19 : kind === 'seam' || kind === 'cut' ? 20 : 25;
}

/** A place in the section. */
export interface Spot {
    column: number;
    row: number;
}

export interface PlacedColumn {
    column: SectionColumn;
    index: number;
    /** Columns it stands for: itself, and those of its piece that show the same where room is short. */
    stands: number[];
    x: number;
    width: number;
}

export interface PlacedPiece {
    id: string;
    name: string;
    x: number;
    width: number;
    folded: boolean;
    columns: number[];
}

export interface Placed {
    columns: PlacedColumn[];
    pieces: PlacedPiece[];
    /** Top of each row, and its height; row 0 is at the bottom. */
    tops: number[];
    heights: number[];
    /** Room above and below the rows for the names of pieces and areas, and beside them for those of rows, px. */
    head: number;
    foot: number;
    labels: number;
    /** Height of the scale of microns, px. */
    film: number;
    width: number;
    height: number;
}

/** Pieces in the order of their columns, each with the places of its columns. */
export function piecesOf(columns: SectionColumn[]): { id: string; name: string; columns: number[] }[] {
    const pieces: { id: string; name: string; columns: number[] }[] = [];
    columns.forEach((column, i) => {
        const last = pieces[pieces.length - 1];
        if (last?.id === column.pieceId) {
            last.columns.push(i);
        } else {
            pieces.push({ id: column.pieceId, name: column.piece, columns: [i] });
        }
    });

    return pieces;
}

/**
 * Lays the drawing out: columns share the room there is, down to a width that still shows what they are.
 *
 * @param wide - px for the row names and the columns together
 * @param tall - px for all of it
 * @param scrolls - whether more is drawn than is in sight
 */
export function place(section: Section, folded: ReadonlySet<string>, wide: number, fit: boolean, tall: number, scrolls = !fit): Placed {
    const pieces = piecesOf(section.columns);
    const folds = pieces.filter((p) => folded.has(p.id)).length;
    // Where all is in sight nothing scrolls, and the leaning names may reach under those of the rows.
    const left = !scrolls ? 14 : Math.max(14, ...section.columns.slice(0, 6).map((c, i) => Math.min(LONGEST, c.name.length) * FOOT_LETTER * ASIDE - i * 12));
    const foot = 24 + Math.max(4, ...section.columns.map((c) => Math.min(LONGEST, c.name.length))) * FOOT_LETTER * DOWN;
    const labels = labelsOf(section);
    const room = wide - labels;
    const taken = left + pieces.length * GAP + folds * FOLDED;
    const shares = (groups: number[][][]): number => {
        const open = groups.filter((_, i) => !folded.has(pieces[i]?.id ?? '')).reduce((n, g) => n + g.length, 0);

        return open === 0 ? 0 : Math.floor((room - taken) / open);
    };
    const single = pieces.map((p) => p.columns.map((c) => [c]));
    const groups = fit && shares(single) < NARROW ? pieces.map((p) => alike(section, p.columns)) : single;
    const wanted = shares(groups);
    const each = fit ? Math.max(12, Math.min(96, wanted)) : Math.max(52, Math.min(96, wanted));
    const columns: PlacedColumn[] = [];
    const placed: PlacedPiece[] = [];
    let x = left;
    for (const [at, piece] of pieces.entries()) {
        const shown = groups[at] ?? [];
        const isFolded = folded.has(piece.id);
        const from = x;
        const width = isFolded ? FOLDED : shown.length === 1 ? Math.max(ALONE, each) : each;
        for (const stands of isFolded ? [piece.columns] : shown) {
            const index = stands[0] ?? 0;
            columns.push({ column: section.columns[index] as SectionColumn, index, stands, x, width });
            x += width;
        }
        placed.push({ id: piece.id, name: piece.name, x: from, width: x - from, folded: isFolded, columns: piece.columns });
        x += GAP;
    }
    if (!scrolls && x > room) {
        return place(section, folded, wide, fit, tall, true);
    }
    const head = Math.max(HEAD, ...placed.filter((p) => !lies(p)).map((p) => 14 + Math.min(LONGEST, p.name.length) * PIECE_LETTER));
    const natural = section.rows.map((r) => rowHeight(r.kind));
    const scale = Math.max(LOWEST, Math.min(1.2, (tall - head - foot) / natural.reduce((sum, h) => sum + h, 0)));
    const heights = natural.map((h, i) => Math.max(Math.round(h * scale), ONE_ROW + LINE * (linesOf(section.rows[i]?.title ?? '').length - 1)));
    const total = heights.reduce((sum, h) => sum + h, 0);
    let y = head + total;
    const tops = heights.map((h) => (y -= h));

    return { columns, pieces: placed, tops, heights, head, foot, labels, film: Math.max(260, tall - head - foot), width: x, height: head + total + foot };
}

/** A piece's name lies over its columns where there is room; else it stands upright. */
export function lies(piece: PlacedPiece): boolean {
    return piece.name.length * PIECE_LETTER < piece.width - 2;
}

/** A row's name in as few lines as hold it, about as long as each other. */
export function linesOf(title: string): string[] {
    const count = Math.ceil(title.length / ONE_LINE);
    const wanted = title.length / count;
    const lines: string[] = [];
    for (const word of title.split(' ')) {
        const last = lines[lines.length - 1];
        const longer = `${last ?? ''} ${word}`;
        if (last !== undefined && longer.length <= ONE_LINE && (longer.length <= wanted + 3 || lines.length >= count)) {
            lines[lines.length - 1] = longer;
        } else {
            lines.push(word);
        }
    }

    return lines;
}

function labelsOf(section: Section): number {
    const longest = Math.max(0, ...section.rows.flatMap((r) => linesOf(r.title).map((line) => line.length * (r.kind === 'mask-on' || r.kind === 'mask-off' ? 6.4 : ROW_LETTER))));

    return Math.max(LABELS[0], Math.min(LABELS[1], longest + 16));
}

/** The y of a height given in rows from the bottom, such as the now stair's 4.5. */
export function yOf(rows: number, { tops, heights }: Placed): number {
    const row = Math.min(Math.floor(rows), tops.length - 1);
    const rest = rows - row;
    const bottom = (tops[row] ?? 0) + (heights[row] ?? 0);

    return bottom - rest * (heights[row] ?? 0);
}

/** Where a piece or an area is looked at: what is planned on it next, or what lies on top. */
export function spotOf(plan: Plan, asked: URLSearchParams): { column: number; row: number } | null {
    const fits = plan.section.columns.map((c, i) => (c.areaId === asked.get('area') || c.pieceId === asked.get('piece') ? i : -1)).filter((i) => i >= 0);
    // Of a piece it is what still waits that one comes for.
    const column = fits.find((i) => plan.section.cells.some((c) => c.column === i && c.steps.length > 0)) ?? fits[0] ?? -1;
    const cells = plan.section.cells.filter((c) => c.column === column);
    const rows = cells.filter((c) => c.steps.length > 0).map((c) => c.row);
    const row = rows.length > 0 ? Math.min(...rows) : Math.max(...cells.map((c) => c.row));

    return column < 0 || cells.length === 0 ? null : { column, row };
}

/** A place by what it is, which stays true when a changed plan puts its rows in another order. */
export interface Held {
    areaId: string;
    title: string;
    steps: string[];
}

/** What is held of a place of this section: its steps, and its row's name for when they are done or done otherwise. */
export function held({ columns, rows, cells, caps }: Plan['section'], spot: { column: number; row: number }): Held | null {
    const column = columns[spot.column];
    const title = rows[spot.row]?.title;
    const cap = caps.find((c) => c.column === spot.column && c.from === spot.row);
    const steps = cells.find((c) => c.column === spot.column && c.row === spot.row)?.steps ?? [cap?.onKey, cap?.offKey].filter((k): k is string => k != null);

    return column === undefined || title === undefined ? null : { areaId: column.areaId, title, steps };
}

/** Where what is held lies now: null when the plan has it no more. */
export function whereIs({ columns, rows, cells, caps }: Plan['section'], is: Held | null): { column: number; row: number } | null {
    const column = columns.findIndex((c) => c.areaId === is?.areaId);
    if (is === null || column < 0) {
        return null;
    }
    const kept = (keys: (string | null)[]): boolean => keys.some((k) => k !== null && is.steps.includes(k));
    const row =
        cells.find((c) => c.column === column && kept(c.steps))?.row ??
        caps.find((c) => c.column === column && kept([c.onKey ?? null, c.offKey ?? null]))?.from ??
        rows.findIndex((r, at) => r.title === is.title && [...cells.filter((c) => c.column === column).map((c) => c.row), ...caps.filter((c) => c.column === column).map((c) => c.from)].includes(at));

    return row < 0 ? null : { column, row };
}

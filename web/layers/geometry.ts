import type { Plan, RowKind, Section, SectionColumn } from '../api/types';

export const LABELS = 172;
export const FOOT = 122;
/** Characters of an area's name that find room in the foot, set at a slant. */
export const LONGEST_FOOT = 20;
export const HEAD = 34;
/** Room at the left for the slanting name of the first column. */
const LEFT = 34;
const FOLDED = 24;
const GAP = 7;
/** With the gap beside it 24 px: the head of a piece of one column can still be pressed alone. */
const ALONE = 17;
const LOWEST = 0.66;

/** Height of a row by what it shows: masks and seams are thin, layers thick enough to read. */
export function rowHeight(kind: RowKind): number {
    return kind === 'mask-on' || kind === 'mask-off' ? 19 : kind === 'seam' || kind === 'cut' ? 20 : 25;
}

export interface PlacedColumn {
    column: SectionColumn;
    index: number;
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

/** Lays the drawing out: columns share the room there is, down to a width that still shows what they are. */
export function place(section: Section, folded: ReadonlySet<string>, room: number, fit: boolean, tall: number): Placed {
    const pieces = piecesOf(section.columns);
    const open = pieces.filter((p) => !folded.has(p.id)).reduce((n, p) => n + p.columns.length, 0);
    const taken = LEFT + pieces.length * GAP + pieces.filter((p) => folded.has(p.id)).length * FOLDED;
    const wanted = open === 0 ? 0 : Math.floor((room - taken) / open);
    const each = fit ? Math.max(12, Math.min(96, wanted)) : Math.max(52, Math.min(96, wanted));
    const columns: PlacedColumn[] = [];
    const placed: PlacedPiece[] = [];
    let x = LEFT;
    for (const piece of pieces) {
        const isFolded = folded.has(piece.id);
        const from = x;
        const width = isFolded ? FOLDED : piece.columns.length === 1 ? Math.max(ALONE, each) : each;
        for (const index of isFolded ? piece.columns.slice(0, 1) : piece.columns) {
            columns.push({ column: section.columns[index] as SectionColumn, index, x, width });
            x += width;
        }
        placed.push({ id: piece.id, name: piece.name, x: from, width: x - from, folded: isFolded, columns: piece.columns });
        x += GAP;
    }
    const natural = section.rows.map((r) => rowHeight(r.kind));
    const scale = Math.max(LOWEST, Math.min(1.2, (tall - HEAD - FOOT) / natural.reduce((sum, h) => sum + h, 0)));
    const heights = natural.map((h) => Math.round(h * scale));
    const total = heights.reduce((sum, h) => sum + h, 0);
    let y = HEAD + total;
    const tops = heights.map((h) => (y -= h));

    return { columns, pieces: placed, tops, heights, width: x, height: HEAD + total + FOOT };
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
    const column = plan.section.columns.findIndex((c) => c.areaId === asked.get('area') || c.pieceId === asked.get('piece'));
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

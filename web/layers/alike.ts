import type { Section } from '../api/types';

/** Columns of one piece that show the same from the bare material up, by the place of the first of them. */
export function alike(section: Section, columns: number[]): number[][] {
    const groups = new Map<string, number[]>();
    for (const index of columns) {
        const signs = signsOf(section, index);
        const group = groups.get(signs);
        if (group === undefined) {
            groups.set(signs, [index]);
        } else {
            group.push(index);
        }
    }

    return [...groups.values()];
}

/** All that is drawn of a column. */
function signsOf(section: Section, index: number): string {
    const column = section.columns[index];
    const of = <T extends { column: number }>(things: T[]): Omit<T, 'column'>[] => things.filter((t) => t.column === index).map((t) => ({ ...t, column: 0 }));

    return JSON.stringify([
        column?.inside,
        column?.now,
        column?.baseSwatch,
        of(section.cells).map(({ row, kind, coats, real, swatch, pins, filmMicrons }) => [row, kind, coats, real, swatch, pins.map((p) => p.id), filmMicrons]),
        of(section.caps).map(({ from, to, on, off, word, pins }) => [from, to, on, off, word, pins.map((p) => p.id)]),
        of(section.lids).map(({ row, at, until, running }) => [row, at, until, running]),
    ]);
}

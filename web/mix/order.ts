import type { MixOrder, MixPage, MixPaint } from '../api/types';

export type Line = MixOrder['parts'][number];

/** The line for a paint's own thinner, in the middle of its range. */
export function thinnerOf(paint: MixPaint): Line {
    return { product: null, name: paint.thinner.split(',')[0] ?? 'thinner', stuff: paint.thinnerStuff, amount: String(Math.round(paint.ratio * 100) / 100), base: 'parts', drops: '' };
}

export function lineOf(paint: MixPaint, amount: string): Line {
    return { product: paint.id, name: paint.name, stuff: 'paint', amount, base: 'parts', drops: '' };
}

/** A colour of the build as it stands in the plan: one part of its paint, thinned in the middle of its range, for all its areas. */
export function orderFor(page: MixPage, colourId: string | null): MixOrder {
    const colour = page.colours.find((c) => c.id === colourId) ?? page.colours.find((c) => c.left) ?? page.colours[0];
    const paint = page.paints.find((p) => p.id === colour?.product) ?? page.paints[0];
    const parts = paint === undefined ? [] : [lineOf(paint, '1'), ...(paint.ratio > 0 && paint.family !== 'aerosol' ? [thinnerOf(paint)] : [])];

    return { parts, known: 'area', part: 0, ml: '', cm2: String(colour?.cm2 ?? 100), coats: String(colour?.coats ?? 2.5), tool: paint?.family === 'aerosol' ? 'aerosol' : 'airbrush', cup: '7', hardened: '', gun: '0.35', regulator: { rest: '', flowing: '', working: '' } };
}

import type { MixOrder, MixPage, MixPaint, Recipe } from '../api/types';

export type Line = MixOrder['parts'][number];

/** The line for a paint's own thinner, in the middle of its range. */
export function thinnerOf(paint: MixPaint): Line {
    return { product: null, name: paint.thinner.split(',')[0] ?? 'thinner', stuff: paint.thinnerStuff, amount: String(Math.round(paint.ratio * 100) / 100), base: 'parts', drops: '' };
}

export function lineOf(paint: MixPaint, amount: string): Line {
    return { product: paint.id, name: paint.name, stuff: 'paint', amount, base: 'parts', drops: paint.dropsPerMl === null ? '' : String(paint.dropsPerMl) };
}

/** The lines of a kept recipe, with the drops of the bottles as they are counted now. */
export function linesOf(recipe: Pick<Recipe, 'parts'>, page: MixPage): Line[] {
    return recipe.parts.map((part) => {
        const counted = page.paints.find((p) => p.id === part.product)?.dropsPerMl ?? null;

        return counted === null ? part : { ...part, drops: String(counted) };
    });
}

/** What goes into a cup of a paint: its recipe, or the paint thinned in the middle of its range. */
function poured(page: MixPage, paint: MixPaint): Line[] {
    const recipe = page.recipes.find((r) => r.id === paint.id);

    return recipe !== undefined ? linesOf(recipe, page) : [lineOf(paint, '1'), ...(paint.ratio > 0 && paint.family !== 'aerosol' ? [thinnerOf(paint)] : [])];
}

/** That cup, from the link; or any paint that was looked for, at the usual amount. */
export function orderForCup(page: MixPage, cup: URLSearchParams): MixOrder {
    const paint = page.paints.find((p) => p.id === cup.get('paint'));
    const usual = orderFor(page, page.colours.find((c) => c.product === paint?.id)?.id ?? null);

    const amount = cup.has('ml') ? { known: 'total' as const, ml: cup.get('ml') ?? '', cm2: cup.get('cm2') ?? usual.cm2 ?? '', coats: cup.get('coats') ?? usual.coats ?? '', tool: cup.get('tool') ?? 'airbrush' } : {};

    return paint === undefined ? usual : { ...usual, parts: poured(page, paint), ...amount };
}

/** A colour of the build as it stands in the plan: its paint, or its recipe, thinned in the middle of its range, for all its areas. */
export function orderFor(page: MixPage, colourId: string | null): MixOrder {
    const colour = page.colours.find((c) => c.id === colourId) ?? page.colours.find((c) => c.left) ?? page.colours[0];
    const paint = page.paints.find((p) => p.id === colour?.product) ?? page.paints[0];
    const parts = paint === undefined ? [] : poured(page, paint);

    return {
        parts,
        known: 'area',
        part: 0,
        ml: '',
        cm2: String((colour?.counted.chosen === true ? colour.counted.cm2 : colour?.cm2) ?? 100),
        coats: String(colour?.coats ?? 2.5),
        tool: paint?.family === 'aerosol' ? 'aerosol' : 'airbrush',
        cup: '7',
        hardened: '',
        gun: '0.35',
        grounds: colour?.grounds ?? [],
        regulator: { rest: '', flowing: '', working: '' },
    };
}

import type { Step } from '../api/types';

/** Where a cup that a step of the plan asks for is drawn: of one paint, be it a colour of the build or its primer. */
export function linkForCup(buildId: string, paintId: string, cup: NonNullable<Step['cup']>): string {
    return `/b/${buildId}/mix?${new URLSearchParams({ paint: paintId, ml: cup.ml.toFixed(2), cm2: String(cup.cm2), coats: String(cup.thick), tool: cup.tool }).toString()}`;
}

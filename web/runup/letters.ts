import type { RunUpBlock, RunUpBuild } from '../api/types';
import { shortName } from '../frame/shortName';

/** A letter for each build, told apart: its first, or the next of its name that is free. */
export function letters(builds: readonly RunUpBuild[]): Map<string, string> {
    const taken = new Set<string>();
    const found = new Map<string, string>();
    for (const build of builds) {
        const name = shortName(build.name).replace(/[^\p{L}\p{N}]/gu, '').toUpperCase();
        const letter = [...name, ...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((l) => !taken.has(l)) ?? '?';
        taken.add(letter);
        found.set(build.id, letter);
    }

    return found;
}

/** Of a session, what one build takes of one paint: there is one of each. */
export function keyOf(block: RunUpBlock): string {
    return `${block.build} ${block.paint?.name ?? ''}`;
}

export function nameOf(block: RunUpBlock): string {
    return block.paint?.name ?? block.titles[0] ?? '';
}

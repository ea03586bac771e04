import type { BenchLine } from '../api/types';

/** What was done or is to be done in one go stands together: parts of a round share its key, one after the other. */
export function inRounds<T>(lines: T[], key: (line: T) => string | null): T[][] {
    const runs: T[][] = [];
    let last: string | null = null;
    for (const line of lines) {
        const own = key(line);
        if (own !== null && own === last) {
            runs[runs.length - 1]?.push(line);
        } else {
            runs.push([line]);
        }
        last = own;
    }

    return runs;
}

export function roundsOf<T extends Pick<BenchLine, 'round'>>(lines: T[]): T[][] {
    return inRounds(lines, (line) => line.round?.key ?? null);
}

export function idOf(line: BenchLine): string {
    return `${line.buildId ?? ''} ${line.key}`;
}

/** Where a part is: its place, with its build where that is another. */
export function whereOf(line: BenchLine): string {
    return line.build === null ? line.where : `${line.build}: ${line.where}`;
}

/** The line of a round, or of the one step: its title and all its places. */
export function told(run: BenchLine[]): { title: string; where: string } {
    const [first] = run as [BenchLine];

    return { title: first.round?.title ?? first.title, where: run.map(whereOf).join(' · ') };
}

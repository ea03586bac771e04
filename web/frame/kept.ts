/** The last answers of the bench, kept in this browser: what a page shows until it has been asked anew. */

const PREFIX = 'amber.kept.';
/** ms before this page was opened that a kept answer counts as given: it is asked anew, also right after. */
const BEFORE = 60_000;
/** Characters: a larger answer is not kept, for the browser's room is shared with what is pressed. */
const MOST = 800_000;

interface Kept<T> {
    of: string;
    data: T;
}

/**
 * One answer of a kind is kept, the last.
 *
 * @param of - whose it is, so that no build is shown for another
 */
function keep(kind: string, of: string, data: unknown): void {
    const text = JSON.stringify({ of, data });
    try {
        if (text.length <= MOST) {
            localStorage.setItem(PREFIX + kind, text);
        } else {
            localStorage.removeItem(PREFIX + kind);
        }
    } catch {
        // No room: the page waits for its answer instead.
        localStorage.removeItem(PREFIX + kind);
    }
}

function find<T>(kind: string, of: string): Kept<T> | undefined {
    try {
        const found = JSON.parse(localStorage.getItem(PREFIX + kind) ?? 'null') as Kept<T> | null;

        return found === null || found.of !== of ? undefined : found;
    } catch {
        return undefined;
    }
}

/** What a query begins with; looked up once, when it is first asked. */
export function kept<T>(kind: string, of: string): { initialData: () => T | undefined; initialDataUpdatedAt: () => number | undefined } {
    return { initialData: () => find<T>(kind, of)?.data, initialDataUpdatedAt: () => (find(kind, of) === undefined ? undefined : performance.timeOrigin - BEFORE) };
}

/** Whether an answer is one kept from before this page was opened. */
export function isOld(updatedAt: number): boolean {
    return updatedAt > 0 && updatedAt < performance.timeOrigin;
}

/** Asks, and keeps what is answered. */
export async function keeping<T>(kind: string, of: string, asked: Promise<T>): Promise<T> {
    const data = await asked;
    keep(kind, of, data);

    return data;
}

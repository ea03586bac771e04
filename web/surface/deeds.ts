import type { Place } from '../api/types';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';

const iso = (): string => new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z');

export type VerdictWord = 'good' | 'fill' | 'sand' | 'rescribe' | 'halo' | 'real-detail' | 'no-detail' | 'accept';

/** What a place is looked at with (handbook 1, step 5). */
export const MEANS = ['pen line', 'raking light', 'nail', 'wet finger', 'check coat', 'primer', 'dark coat'];

export const ACCEPTED_BECAUSE = ['It will not be seen', 'The subject has it too', 'No time before the show', 'More would harm the detail'];

/** The next step of a place was done; where somebody looked at the clock, with the minutes it took. */
export function didNext(buildId: string, place: Place, minutes?: number): void {
    if (place.next !== null) {
        record(buildId, `${place.name}: ${place.next.button}`, { ...place.next.event, id: ulid(), at: iso(), ...(minutes === undefined ? {} : { minutes }) });
    }
}

/** A place was looked at. */
export function judged(buildId: string, place: Place, verdict: VerdictWord, means: string, reason?: string): void {
    record(buildId, `${place.name}: ${verdict.replace('-', ' ')}`, { id: ulid(), kind: 'verdict', at: iso(), targets: [place.id], verdict, purpose: means, ...(reason === undefined ? {} : { note: reason }) });
}

/** A round is over, with so many places that ask for more. */
export function roundOver(buildId: string, found: number, means: string): void {
    record(buildId, found === 0 ? 'A round found nothing' : `A round found ${found}`, { id: ulid(), kind: 'verdict', at: iso(), verdict: found === 0 ? 'clean' : 'found', found, purpose: means });
}

/** A line of detail is there again. */
export function putBack(buildId: string, id: string, name: string): void {
    record(buildId, `${name} is there again`, { id: ulid(), kind: 'done', at: iso(), operation: 'rescribe', targets: [id], purpose: 'feature', stepKey: `${id}/rescribe/feature/1` });
}

export function takeBack(buildId: string, title: string, event: string): void {
    record(buildId, title, { id: ulid(), kind: 'take-back', at: iso(), takesBack: event });
}

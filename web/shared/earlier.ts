import { clock } from '../frame/words';

/**
 * An instant from wall time ("18:40": the last time the clock showed it) or minutes ago ("-25").
 * Answers what is wrong where it cannot be read.
 */
export function earlierToday(typed: string, nowMs: number, zone: string): number | string {
    const text = typed.trim();
    const ago = /^-\s*(\d{1,4})(\s*min)?$/.exec(text);
    if (ago !== null) {
        return nowMs - Number(ago[1]) * 60000;
    }
    const at = /^(\d{1,2})[:.](\d{2})$/.exec(text);
    if (at === null || Number(at[1]) > 23 || Number(at[2]) > 59) {
        return 'Write a time such as 18:40, or minutes ago such as -25.';
    }
    const [hour, minute] = clock(nowMs, zone).split(':').map(Number) as [number, number];
    const back = (hour * 60 + minute - Number(at[1]) * 60 - Number(at[2]) + 1440) % 1440;

    return back === 0 ? nowMs : Math.floor(nowMs / 60000) * 60000 - back * 60000;
}

import type { Session } from '../api/types';

/** Minutes of the day as they are read on the wall. */
export function clockOf(minutes: number): string {
    return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

export function words(sessions: readonly Session[]): string {
    return sessions.map((s) => `${clockOf(s.from)}–${clockOf(s.until)}`).join(', ');
}

export function minutesOf(sessions: readonly Session[]): number {
    return sessions.reduce((sum, s) => sum + s.until - s.from, 0);
}

/** "19:00-21:00, 22-23" as sessions; null where it cannot be read. Nothing is no session. */
export function read(text: string): Session[] | null {
    const parts = text
        .split(/[,;]/)
        .map((part) => part.trim())
        .filter((part) => part !== '');
    const sessions: Session[] = [];
    for (const part of parts) {
        const found = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/.exec(part);
        if (found === null) {
            return null;
        }
        const [, fromHour, fromMinute = '0', untilHour, untilMinute = '0'] = found;
        const from = 60 * Number(fromHour) + Number(fromMinute);
        const until = 60 * Number(untilHour) + Number(untilMinute);
        if (until <= from || until > 1440 || Number(fromMinute) > 59 || Number(untilMinute) > 59) {
            return null;
        }
        sessions.push({ from, until });
    }

    return sessions;
}

/** The 28 days from a Monday on, this week's first, as dates on the wall. */
export function fourWeeks(today: string): string[] {
    const day = new Date(`${today}T12:00:00Z`);
    day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));

    return Array.from({ length: 28 }, (_, i) => {
        const each = new Date(day);
        each.setUTCDate(day.getUTCDate() + i);

        return each.toISOString().slice(0, 10);
    });
}

export const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

export const DAY_NAMES: Record<(typeof DAYS)[number], string> = { mon: 'Monday', tue: 'Tuesday', wed: 'Wednesday', thu: 'Thursday', fri: 'Friday', sat: 'Saturday', sun: 'Sunday' };

export function dayOf(date: string): (typeof DAYS)[number] {
    return DAYS[(new Date(`${date}T12:00:00Z`).getUTCDay() + 6) % 7] ?? 'mon';
}

/** Times and amounts as people at a bench read them. */

export function minutesUntil(iso: string, nowMs: number): number {
    return Math.max(0, Math.ceil((Date.parse(iso) - nowMs) / 60000));
}

/** 11 min, 3 h 25, 38 h, 6 d. */
export function span(minutes: number): string {
    if (minutes < 120) {
        return `${minutes} min`;
    }
    if (minutes < 36 * 60) {
        const rest = minutes % 60;

        return rest === 0 ? `${Math.floor(minutes / 60)} h` : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`;
    }
    if (minutes < 72 * 60) {
        return `${Math.round(minutes / 60)} h`;
    }

    return `${Math.round(minutes / 1440)} d`;
}

const formats = new Map<string, Intl.DateTimeFormat>();

function format(zone: string, options: Intl.DateTimeFormatOptions, at: number): string {
    const key = zone + JSON.stringify(options);
    let made = formats.get(key);
    if (made === undefined) {
        made = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options });
        formats.set(key, made);
    }

    return made.format(at);
}

export function clock(at: number, zone: string): string {
    return format(zone, { hour: '2-digit', minute: '2-digit' }, at);
}

export function day(at: number, zone: string): string {
    return format(zone, { weekday: 'short', day: 'numeric', month: 'short' }, at);
}

export function weekday(at: number, zone: string): string {
    return format(zone, { weekday: 'short' }, at);
}

/** 22:30, or Thu 09:20 when it is another day, or 8 Dec when it is far. */
export function wall(iso: string, nowMs: number, zone: string): string {
    const at = Date.parse(iso);
    if (day(at, zone) === day(nowMs, zone)) {
        return clock(at, zone);
    }

    return Math.abs(at - nowMs) < 6 * 86400000 ? `${weekday(at, zone)} ${clock(at, zone)}` : `${format(zone, { day: 'numeric', month: 'short' }, at)} ${clock(at, zone)}`;
}

/** Tue 3 Mar 2026: far from today the year belongs to it. */
export function dated(iso: string, zone: string): string {
    return format(zone, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' }, Date.parse(iso)).replace(',', '');
}

/** Tue 3 Mar 2026, 19:05. */
export function datedAt(iso: string, zone: string): string {
    return `${dated(iso, zone)}, ${clock(Date.parse(iso), zone)}`;
}

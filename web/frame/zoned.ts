/** Wall time in a zone, such as 2026-03-05T19:00, as an instant in UTC; null where it cannot be read. */
export function instantOf(local: string, zone: string): string | null {
    const match = /^(\d{4})-(\d\d)-(\d\d)[T ](\d\d):(\d\d)$/.exec(local.trim());
    if (match === null) {
        return null;
    }
    const wanted = Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]), Number(match[4]), Number(match[5]));
    // The offset at the instant looked for: two rounds settle it on all but the hour that is skipped.
    let at = wanted;
    for (let i = 0; i < 2; i++) {
        at = wanted - offset(at, zone);
    }

    return Number.isFinite(at) ? new Date(at).toISOString().replace('.000Z', 'Z') : null;
}

export function localOf(instant: number, zone: string): string {
    return new Date(instant + offset(instant, zone)).toISOString().slice(0, 16);
}

function offset(at: number, zone: string): number {
    const parts = new Intl.DateTimeFormat('en-GB', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit', second: '2-digit', hourCycle: 'h23' }).formatToParts(at);
    const part = (type: string): number => Number(parts.find((p) => p.type === type)?.value ?? 0);

    return Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute'), part('second')) - Math.floor(at / 1000) * 1000;
}

const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** A ULID: the time it was made, and chance. Made here, so that a press sent twice is one event. */
export function ulid(at: number = Date.now()): string {
    let time = '';
    for (let rest = at, i = 0; i < 10; i++, rest = Math.floor(rest / 32)) {
        time = LETTERS.charAt(rest % 32) + time;
    }
    const chance = crypto.getRandomValues(new Uint8Array(16));

    return time + Array.from(chance, (byte) => LETTERS.charAt(byte % 32)).join('');
}

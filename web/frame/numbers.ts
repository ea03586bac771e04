/** Numbers typed by people: 2,5 and 2.5 are both read; 1,250.5 can be read two ways and is asked about. */
export function readNumber(text: string): number | string | null {
    const trimmed = text.trim();
    if (trimmed === '') {
        return null;
    }
    if (/[.,].*[.,]/.test(trimmed)) {
        const point = trimmed.replaceAll(',', '');
        const comma = trimmed.replaceAll('.', '').replace(',', '.');

        return `Is it ${point} or ${comma}? Write it with one point or one comma.`;
    }
    const number = Number(trimmed.replace(',', '.'));

    return Number.isFinite(number) ? number : 'Write a number, such as 19.5.';
}

/** An amount of paint, to what a person can measure: 0.05 ml. */
export function ml(amount: number): string {
    const shown = amount >= 10 ? amount.toFixed(0) : amount >= 1 ? amount.toFixed(1) : amount.toFixed(2);

    return `${shown} ml`;
}

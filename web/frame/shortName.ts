let known: string[] = [];

/** The builds there are: a short name tells each from the others. */
export function know(names: string[]): void {
    known = names;
}

/** The word of a name one calls the model by, its longest, the later of two; with another where two builds would share it. */
export function shortName(name: string): string {
    const word = wordOf(name);
    const others = known.filter((other) => other !== name && wordOf(other) === word).flatMap((other) => other.split(/\s+/));
    const own = others.length === 0 ? undefined : name.split(/\s+/).find((w) => !others.includes(w));

    return own === undefined ? word : `${word} ${own}`;
}

function wordOf(name: string): string {
    return name.split(/\s+/).reduce((best, word) => (word.length >= best.length && !/\d/.test(word) ? word : best), '') || name;
}

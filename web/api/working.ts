/** ms after which a press says that it is being worked on. */
const SAYS_SO = 300;
/** ms within which what is asked of the bench belongs to the press before it. */
const OF_PRESS = 120;

let pressed: { element: Element; at: number } | null = null;

for (const how of ['click', 'submit']) {
    document.addEventListener(
        how,
        (e) => {
            const element = (e.target as Element).closest('button, a, form');
            pressed = element === null ? null : { element: element.matches('form') ? (element.querySelector('[type="submit"]') ?? element) : element, at: performance.now() };
        },
        { capture: true },
    );
}

/** Marks the press that asked for this once it takes long enough to be wondered at; lets go of it when it is answered. */
export async function working<T>(asked: Promise<T>): Promise<T> {
    const of = pressed !== null && performance.now() - pressed.at < OF_PRESS ? pressed.element : null;
    if (of === null) {
        return asked;
    }
    // What a page asks by itself afterwards is not the press's.
    pressed = null;
    const timer = setTimeout(() => {
        of.setAttribute('data-working', '');
        of.setAttribute('aria-busy', 'true');
    }, SAYS_SO);
    try {
        return await asked;
    } finally {
        clearTimeout(timer);
        of.removeAttribute('data-working');
        of.removeAttribute('aria-busy');
    }
}

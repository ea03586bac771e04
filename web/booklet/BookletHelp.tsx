import type { ReactElement } from 'react';

const WORDS: [string, string][] = [
    ['H8 = sea grey', 'what a code of the booklet means; from then on the code will do'],
    ['12: B4 B5 H8 M x2', 'step 12 paints B4 and B5 in that colour, medium, two of each; the step holds until the next'],
    ['B7 H8 XS left half', 'one face, or half of one; also top, bottom, front, back, inside, rim'],
    ['C1-C6 tyre black S', 'a run of numbers'],
    ['A3 dark M inside lets light', 'what a test fit showed: light gets through; or once together: it only shows assembled'],
    ['D1 clear S', 'a clear part; bare for one without paint; called "lamp glass" names it'],
    ['4: A1 + A2, seam, closes over A3', 'a gluing, and what cannot be reached once it is closed'],
    ['C4 H8 S option hatch=open', 'belongs to one alternative; choose hatch = open parks the others'],
];

/** The words of the booklet, for the first pages. */
export function BookletHelp(): ReactElement {
    return (
        <section className="card grammar" aria-label="How lines are written">
            <p>Turn the pages from the first step to the last, and write a line for each colour call-out. Sizes: XS 1 cm², S 5, M 25, L 80, XL 250.</p>
            <dl>
                {WORDS.map(([line, says]) => (
                    <div key={line}>
                        <dt>
                            <code>{line}</code>
                        </dt>
                        <dd>{says}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}

import type { ReactElement } from 'react';

const LINES: [string, string][] = [
    ['hull / upper A, 84, sea grey, decals, pin wash, matt', 'an area of the part hull: size in cm² or XS to XL, colour, what goes over it'],
    ['hull / upper B, 61, slate green, soft 240 to upper A', 'its edge to another area: soft, hard or feathered, and how long in mm'],
    ['hull / bands, 9, yellow, on white, preshade dark', 'a ground, a pre-shade; also inside dark on a canopy frame'],
    ['canopy / panes, 8, pane', 'a pane stays clear, and its part is clear styrene'],
    ['hull / cockpit, S, dark, inside', 'an inside face; sizes may be letters'],
    ['grille, brass, 2, sand', 'a part that is one area: what it is made of, size, colour'],
    ['wing root: hull + wing, seam, gap 0.2, 9 long', 'a joint: seam or line, before paint or after paint, glue, load, blocks hull / cockpit'],
    ['part tyre, soft vinyl, no V1, step 11, moulded black', 'a part alone: its number and step in the booklet, fragile, lets light'],
    ['piece hull = Hull and wing, held by a dowel', 'what a piece is called and held by'],
    ['colour roof = Garnock Roof Cream, must match', 'a colour of the build by its paint'],
];

/** How a line is written, by example. */
export function GrammarHelp({ open = false }: { open?: boolean }): ReactElement {
    return (
        <details className="card grammar" open={open}>
            <summary>How a line is written</summary>
            <dl>
                {LINES.map(([line, says]) => (
                    <div key={line}>
                        <dt>{line}</dt>
                        <dd>{says}</dd>
                    </div>
                ))}
            </dl>
            <p>Names that hold a comma or a slash go in double quotes; the second thing of one name is &ldquo;name ~2&rdquo;; a line that begins with # is a note.</p>
        </details>
    );
}

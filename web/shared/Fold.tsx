import { useState, type ReactElement, type ReactNode } from 'react';

interface Props {
    /** Under which it is remembered whether it stands open. */
    name: string;
    title: string;
    /** The one thing to know of it while it is shut. */
    tells: string;
    /** Open whatever was remembered. */
    always?: boolean;
    /** What else the card is, for its look. */
    kind?: string;
    edge?: string | undefined;
    children: ReactNode;
}

/** A card that is opened when it is wanted, and says what matters of it while it is shut. */
export function Fold({ name, title, tells, always = false, kind = '', edge, children }: Props): ReactElement {
    const key = `amber.fold.${name}`;
    const [open, set] = useState(() => always || sessionStorage.getItem(key) === 'open');

    return (
        <details
            className={`card fold ${kind}`}
            data-edge={edge}
            data-fold={name}
            open={open}
            onToggle={(e) => {
                const is = e.currentTarget.open;
                set(is);
                if (!always) {
                    sessionStorage.setItem(key, is ? 'open' : 'shut');
                }
            }}
        >
            <summary>
                <h2 className="card-title">{title}</h2>
                <span className="fold-tells" title={tells}>{tells}</span>
            </summary>
            <div className="fold-body">{children}</div>
        </details>
    );
}

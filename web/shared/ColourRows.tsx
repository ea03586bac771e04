import './lists.css';
import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { ColourList, ListItem } from '../api/types';
import { useTick } from './useTick';

interface Props {
    buildId: string;
    list: ColourList;
    /** What the closing press says happened; null where it stands elsewhere. */
    button: string | null;
}

/** One colour's list, a thumb's width a line: tick what has it, then close the colour. */
export function ColourRows({ buildId, list, button }: Props): ReactElement {
    const ticking = useTick(buildId);
    const [asked, ask] = useState(false);
    const open = list.items.filter((i) => !ticking.isDone(i));

    return (
        <>
            <ul className="ticks">
                {list.items.map((item) => (
                    <li key={item.id}>
                        <button type="button" role="checkbox" aria-checked={ticking.isDone(item)} className="tick-row" onClick={() => ticking.toggle(list, item)} disabled={item.done && item.tickedBy === null}>
                            <span className="tick-box" aria-hidden="true">
                                <svg viewBox="0 0 20 20" width="22" height="22">
                                    <path d="M3 10.5 8 15.5 17 4.5" fill="none" stroke="currentColor" strokeWidth="3" />
                                </svg>
                            </span>
                            <span className="tick-what">
                                <strong>{item.name}</strong>
                                <small>{facts(item)}</small>
                            </span>
                            <span className="tick-size">
                                {item.size}
                                {item.count > 1 && ` × ${item.count}`}
                            </span>
                        </button>
                    </li>
                ))}
            </ul>
            {button !== null && !list.closed && (
                <div className="ticks-close">
                    {asked && open.length > 0 ? (
                        <div role="alert" className="ticks-ask">
                            <p>
                                <strong>Not ticked: {open.map((i) => i.name).join(', ')}.</strong> Painted another day it comes out in a slightly different shade.
                            </p>
                            <Button data-main onClick={() => ask(false)}>
                                Go back to the list
                            </Button>
                            <Button onClick={() => ticking.close(list)} data-testid="close-anyway">
                                Close it without {open.length === 1 ? 'it' : 'them'}
                            </Button>
                        </div>
                    ) : (
                        <Button data-main data-testid="close-colour" onClick={() => (open.length > 0 ? ask(true) : ticking.close(list))}>
                            {button}
                        </Button>
                    )}
                </div>
            )}
        </>
    );
}

function facts(item: ListItem): string {
    return [
        item.step === null ? 'not in the booklet' : `step ${item.step}`,
        item.piece ?? 'on no piece',
        item.faces.join(' '),
        item.inside && item.faces.length === 0 ? 'inside' : '',
        item.onceTogether ? 'shows once together' : '',
        item.letsLight ? 'lets light' : '',
        item.sprayed && item.tickedBy === null ? 'sprayed' : '',
    ]
        .filter((w) => w !== '')
        .join(' · ');
}

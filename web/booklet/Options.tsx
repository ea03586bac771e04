import type { ReactElement } from 'react';
import type { Booklet } from '../api/types';
import type { Change } from '../frame/useChange';

/** Alternatives the kit offers: what is not chosen is parked out of every list. */
export function Options({ booklet, change }: { booklet: Booklet; change: Change }): ReactElement {
    return (
        <section className="card options" aria-label="Alternatives">
            {booklet.options.map((option) => {
                const parked = booklet.callouts.filter((c) => c.parked !== null && c.option?.startsWith(`${option.name}=`)).length;

                return (
                    <fieldset key={option.id}>
                        <legend>{option.name}</legend>
                        <div className="views" role="radiogroup" aria-label={option.name}>
                            {option.choices.map((choice) => (
                                <button
                                    key={choice}
                                    type="button"
                                    role="radio"
                                    className="view"
                                    aria-checked={choice === option.chosen}
                                    onClick={() => void change.apply(`Build it with ${option.name} ${choice}`, [{ op: 'set', list: 'options', id: option.id, field: 'chosen', value: choice }])}
                                >
                                    {choice}
                                </button>
                            ))}
                        </div>
                        <p>{option.chosen === null ? 'Not chosen yet: both are planned.' : parked === 0 ? 'Nothing is parked by it.' : parked === 1 ? '1 call-out is parked.' : `${parked} call-outs are parked.`}</p>
                    </fieldset>
                );
            })}
        </section>
    );
}

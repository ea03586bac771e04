import './finish.css';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { Finish } from '../api/types';
import { useNow } from '../api/clock';
import { Paper } from '../frame/Paper';
import { day } from '../frame/words';
import { Accepted } from './Accepted';

/** What stands beside the model at a show and in the box of the next one: paints from the bottom up, what was put right, what was taken as it is. */
export default function FinishPage({ buildId }: { buildId: string }): ReactElement {
    const at = useNow();
    const { data: sheet } = useQuery({ queryKey: ['finish', buildId], queryFn: () => api.get<Finish>(`builds/${buildId}/finish`) });
    if (sheet === undefined) {
        return <p>Laying the sheet out.</p>;
    }
    const zone = sheet.build.zone;
    const date = (instant: string): string => day(Date.parse(instant), zone);

    return (
        <Paper
            title="Finish sheet"
            says={sheet.left === 0 ? 'Finished: nothing is left in the plan' : `So far: ${sheet.left} ${sheet.left === 1 ? 'step is' : 'steps are'} left`}
            build={sheet.build}
            at={at}
            back={{ to: `/b/${buildId}/log`, word: 'Back to the log' }}
            className="finish"
        >
            <p className="finish-subject">
                {sheet.subject}
                {sheet.first !== null && sheet.last !== null && ` · ${date(sheet.first)} to ${date(sheet.last)}, ${sheet.evenings} ${sheet.evenings === 1 ? 'day' : 'days'} at the bench`}
            </p>
            {sheet.coats.length === 0 ? <p className="paper-none">No coat is on it yet.</p> : <Coats sheet={sheet} />}
            {sheet.good.length > 0 && (
                <section>
                    <h2>Made good</h2>
                    <p>
                        {sheet.good.join(', ')}
                        {sheet.fillers.length > 0 && `; with ${sheet.fillers.join(', ')}`}.
                    </p>
                </section>
            )}
            {sheet.faults.length > 0 && (
                <section>
                    <h2>What went wrong, and was put right</h2>
                    <ul>
                        {sheet.faults.map((f) => (
                            <li key={f.at + f.what}>
                                {date(f.at)}: {f.what.toLowerCase()} on {f.on}
                                {f.with !== null && `, ${f.with}`}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            {sheet.accepted.length > 0 && (
                <section data-testid="finish-accepted">
                    <h2>Taken as it is</h2>
                    <Accepted accepted={sheet.accepted} />
                </section>
            )}
        </Paper>
    );
}

function Coats({ sheet }: { sheet: Finish }): ReactElement {
    return (
        <table className="finish-coats">
            <caption>From the bottom up</caption>
            <thead>
                <tr>
                    <th scope="col">What</th>
                    <th scope="col">With</th>
                    <th scope="col">Coats</th>
                    <th scope="col">On</th>
                </tr>
            </thead>
            <tbody>
                {sheet.coats.map((c, i) => (
                    <tr key={i}>
                        <th scope="row">{c.colour === null ? c.what : c.colour.charAt(0).toUpperCase() + c.colour.slice(1)}</th>
                        <td>
                            {c.swatch !== null && <span className="swatch" style={{ background: c.swatch }} aria-hidden="true" />}
                            {c.name ?? 'from the sheet'}
                            {c.recipe !== null && <small>{c.recipe}</small>}
                        </td>
                        <td>{c.coats}</td>
                        <td>{c.on}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

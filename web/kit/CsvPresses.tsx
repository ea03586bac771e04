import { Button } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Changed, TakenTable } from '../api/types';
import { queries } from '../frame/queries';

interface Props {
    buildId: string;
    revision: number;
    say: (words: string, bad: boolean) => void;
}

/** A table that was looked at and empties something, or has columns nobody knows: taken in only when that is said. */
interface Asked {
    words: string[];
    take: () => Promise<void>;
}

/** Areas as a table for a spreadsheet, out and in; the shelf likewise. */
export function CsvPresses({ buildId, revision, say }: Props): ReactElement {
    const areas = useRef<HTMLInputElement>(null);
    const shelf = useRef<HTMLInputElement>(null);
    const [asked, ask] = useState<Asked | null>(null);
    const post = async (path: string, csv: string, headers: Record<string, string>, look: boolean): Promise<Partial<Changed> & Partial<TakenTable>> => api.post(path, { csv, look }, headers);
    const refuse = (error: unknown): void => say(error instanceof Refused ? [error.message, ...error.problems.slice(0, 4).map((p) => `${p.path}: ${p.wrong}; ${p.right}.`)].join(' ') : 'The file could not be sent.', true);
    const send = async (file: File | undefined, path: string, headers: Record<string, string>): Promise<void> => {
        if (file === undefined) {
            return;
        }
        try {
            const csv = await file.text();
            const looked = await post(path, csv, headers, true);
            const { emptied = [], unknown = [] } = looked.looked ?? looked;
            const take = async (): Promise<void> => {
                ask(null);
                try {
                    const answer = await post(path, csv, headers, false);
                    await queries.invalidateQueries();
                    say(answer.added === undefined ? (answer.change == null ? 'The table says what the kit says already.' : 'The table is taken in.') : `${answer.added} new on the shelf, ${answer.changed ?? 0} changed.`, false);
                } catch (error) {
                    refuse(error);
                }
            };
            if (emptied.length + unknown.length === 0) {
                await take();
            } else {
                ask({ take, words: [...emptied.slice(0, 6).map((row) => `${row.name}: ${row.fields.join(', ')} will be empty.`), ...(emptied.length > 6 ? [`And ${emptied.length - 6} more lose something.`] : []), ...(unknown.length > 0 ? [`Kept out: ${unknown.join(', ')}; no such column here.`] : [])] });
            }
        } catch (error) {
            refuse(error);
        }
    };

    return (
        <details className="csv">
            <summary>CSV</summary>
            <div className="csv-presses">
                <a className="plain-press" href={`/api/builds/${buildId}/areas.csv`} download>
                    Areas, out
                </a>
                <button type="button" className="plain-press" onClick={() => areas.current?.click()}>
                    Areas, in
                </button>
                <a className="plain-press" href="/api/products.csv" download>
                    Shelf, out
                </a>
                <button type="button" className="plain-press" onClick={() => shelf.current?.click()}>
                    Shelf, in
                </button>
                <input ref={areas} type="file" accept=".csv,text/csv" className="quiet" tabIndex={-1} aria-label="Areas as CSV" onChange={(e) => void send(e.currentTarget.files?.[0], `builds/${buildId}/areas.csv`, { 'If-Match': `"${revision}"` })} />
                <input ref={shelf} type="file" accept=".csv,text/csv" className="quiet" tabIndex={-1} aria-label="Shelf as CSV" onChange={(e) => void send(e.currentTarget.files?.[0], 'products.csv', {})} />
            </div>
            {asked !== null && (
                <div className="csv-asked" role="alert" data-testid="csv-asked">
                    <ul className="wrong-list">
                        {asked.words.map((line) => (
                            <li key={line}>{line}</li>
                        ))}
                    </ul>
                    <div className="csv-presses">
                        <Button data-small onClick={() => void asked.take()}>
                            Take it in
                        </Button>
                        <Button data-small data-main onClick={() => ask(null)}>
                            Leave it
                        </Button>
                    </div>
                </div>
            )}
        </details>
    );
}

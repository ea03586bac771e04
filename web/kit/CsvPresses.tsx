import { useRef, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Changed } from '../api/types';
import { queries } from '../frame/queries';

interface Props {
    buildId: string;
    revision: number;
    say: (words: string, bad: boolean) => void;
}

/** Areas as a table for a spreadsheet, out and in; the shelf likewise. */
export function CsvPresses({ buildId, revision, say }: Props): ReactElement {
    const areas = useRef<HTMLInputElement>(null);
    const shelf = useRef<HTMLInputElement>(null);
    const send = async (file: File | undefined, path: string, headers: Record<string, string>): Promise<void> => {
        if (file === undefined) {
            return;
        }
        try {
            const answer = await api.post<Partial<Changed> & { added?: number; changed?: number }>(path, { csv: await file.text() }, headers);
            await queries.invalidateQueries();
            say(answer.added === undefined ? (answer.change == null ? 'The table says what the kit says already.' : 'The table is taken in.') : `${answer.added} new on the shelf, ${answer.changed ?? 0} changed.`, false);
        } catch (error) {
            say(error instanceof Refused ? [error.message, ...error.problems.slice(0, 4).map((p) => `${p.path}: ${p.wrong}; ${p.right}.`)].join(' ') : 'The file could not be sent.', true);
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
        </details>
    );
}

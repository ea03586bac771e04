import { Button } from '@mantine/core';
import { memo, useEffect, useState, type ReactElement } from 'react';
import type { Kit } from '../api/types';
import { useChange } from '../frame/useChange';
import { AreaHelper } from '../shared/AreaHelper';
import { Grid, type GridRow } from './Grid';
import { tablesOf, type ListName } from './tables';
import { useSend } from './useSend';

/** The kit in tables, to be put right cell by cell. */
export const Tables = memo(function Tables({ kit, say, tell }: { kit: Kit; say: (wrong: string | null) => void; tell: (words: string) => void }): ReactElement {
    const [list, setList] = useState<ListName>('areas');
    const [measuring, measure] = useState<GridRow | null>(null);
    const change = useChange(kit.build.id, kit.build.revision);
    const send = useSend(kit.build.id, kit.build.revision);
    const tables = tablesOf(kit);
    const table = tables.find((t) => t.list === list) ?? tables[0];
    // How often the tables are drawn is measured: what is typed above them must not.
    useEffect(() => {
        performance.mark('kit tables drawn');
    });
    const commit = async (id: string, field: string, typed: string): Promise<string | null> => {
        const answer = await send('cell', { list, id, field, text: typed });

        return typeof answer === 'string' ? answer : null;
    };
    const remove = async (row: GridRow): Promise<void> => {
        const answer = await send('remove', { list, id: row.id });
        say(typeof answer === 'string' ? answer : null);
        tell(typeof answer === 'string' ? '' : `${row.cells['name'] ?? 'It'} is out${row.warn === undefined ? '' : ` (${row.warn}: they stay in the log)`}.`);
    };
    return (
        <>
            <section className="card kit-tables" aria-label="The kit">
                <div className="kit-tabs">
                    <div className="views" role="group" aria-label="Which table">
                        {tables.map((t) => (
                            <button key={t.list} type="button" className="view" aria-pressed={t.list === list} onClick={() => setList(t.list)}>
                                {t.title} <small>{t.rows.length}</small>
                            </button>
                        ))}
                    </div>
                    <span className="kit-hint">Arrows move, Enter or a letter changes, Delete takes out.</span>
                    {kit.undoable !== null && (
                        <div className="undo">
                            <span>
                                Last: <strong>{kit.undoable.title}</strong>
                            </span>
                            <Button data-small data-testid="undo" onClick={() => void change.undo(kit.undoable?.id ?? '').then((done) => tell(done ? 'Taken back.' : ''))}>
                                Take it back
                            </Button>
                        </div>
                    )}
                </div>
                {change.wrong !== null && (
                    <p className="grid-wrong" role="alert">
                        {change.wrong}
                    </p>
                )}
                {table !== undefined && <Grid key={table.list} label={table.title} columns={table.columns} rows={table.rows} commit={commit} {...(table.list === 'pieces' ? {} : { remove: (row: GridRow) => void remove(row) })} empty={table.empty} {...(table.list === 'areas' ? { helper: { field: 'size', word: (row: GridRow) => `Work out cm² of ${row.cells['name'] ?? 'it'}`, open: measure } } : {})} />}
            </section>
            {measuring !== null && (
                <AreaHelper
                    of={measuring.cells['name'] ?? 'it'}
                    close={() => measure(null)}
                    take={(typed) => {
                        measure(null);
                        void commit(measuring.id, 'size', typed).then(say);
                    }}
                />
            )}
        </>
    );
});

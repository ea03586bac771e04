import { memo, type ReactElement } from 'react';
import type { Plan } from '../api/types';
import { useMinute } from '../api/clock';
import { wall } from '../frame/words';

/** The drawing as a table, in the same order: an area a row, its layers from the oldest. */
export const SectionTable = memo(function SectionTable({ plan }: { plan: Plan }): ReactElement {
    const at = useMinute();
    const { section } = plan;
    const zone = plan.build.zone;

    return (
        <table className="section-table">
            <caption>Layers of {plan.build.name}, each area from the bare material up</caption>
            <thead>
                <tr>
                    <th scope="col">Area</th>
                    <th scope="col">Piece</th>
                    <th scope="col">On it</th>
                    <th scope="col">To come</th>
                    <th scope="col">Capped</th>
                    <th scope="col">Film, µm</th>
                </tr>
            </thead>
            <tbody>
                {section.columns.map((column, i) => {
                    const cells = section.cells.filter((c) => c.column === i && c.kind !== 'bare');
                    const words = (real: boolean): string =>
                        cells
                            .filter((c) => (real ? c.real > 0 : c.real < c.coats))
                            .map((c) => `${section.rows[c.row]?.title ?? ''}${c.coats > 1 ? ` ×${real ? c.real : c.coats - c.real}` : ''}`)
                            .join(', ');

                    return (
                        <tr key={column.areaId}>
                            <th scope="row">{column.name}</th>
                            <td>{column.piece}</td>
                            <td>{[column.base, words(true)].filter(Boolean).join(', ')}</td>
                            <td>{words(false)}</td>
                            <td>
                                {section.caps
                                    .filter((c) => c.column === i)
                                    .map((c) => `${c.word}, ${c.onAt === null ? '' : wall(c.onAt, at, zone)} to ${c.offAt === null ? 'the end' : wall(c.offAt, at, zone)}`)
                                    .join('; ')}
                            </td>
                            <td>
                                {Math.round(column.filmNowMicrons)} of {Math.round(column.filmMicrons)}
                            </td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
});

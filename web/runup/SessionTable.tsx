import type { ReactElement } from 'react';
import type { RunUp } from '../api/types';
import { shortName } from '../frame/shortName';
import { clock, day, wall } from '../frame/words';

/** The same as a table: for reading, for paper, and for those who do not see the picture. */
export function SessionTable({ run, zone, now }: { run: RunUp; zone: string; now: number }): ReactElement {
    const waiting = run.builds.filter((build) => build.nights.length > 0);

    return (
        <>
            <table className="runup-table">
                <thead>
                    <tr>
                        <th scope="col">Session</th>
                        <th scope="col">Planned, min</th>
                        <th scope="col">What is in it</th>
                    </tr>
                </thead>
                <tbody>
                    {run.columns.map((column) => (
                        <tr key={column.from}>
                            <th scope="row">
                                {day(Date.parse(column.from), zone)} {clock(Date.parse(column.from), zone)}–{clock(Date.parse(column.until), zone)}
                            </th>
                            <td>
                                {Math.round(column.worked)} of {column.minutes}
                            </td>
                            <td>
                                {column.blocks.map((block) => `${shortName(run.builds.find((b) => b.id === block.build)?.name ?? '')}: ${block.paint?.name ?? firstOf(block.titles)} (${Math.round(block.minutes)} min)`).join('; ')}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {waiting.length > 0 && (
                <table className="runup-table">
                    <thead>
                        <tr>
                            <th scope="col">Build</th>
                            <th scope="col">Dries until</th>
                            <th scope="col">What, through the night by itself</th>
                        </tr>
                    </thead>
                    <tbody>
                        {waiting.flatMap((build) =>
                            build.nights.map((night) => (
                                <tr key={`${build.id} ${night.from ?? ''} ${night.until ?? ''}`}>
                                    <th scope="row">{shortName(build.name)}</th>
                                    <td>{wall(night.until ?? '', now, zone)}</td>
                                    <td>
                                        {night.piece}: {night.because}
                                    </td>
                                </tr>
                            )),
                        )}
                    </tbody>
                </table>
            )}
        </>
    );
}

function firstOf(titles: readonly string[]): string {
    return `${titles[0] ?? ''}${titles.length > 1 ? ` and ${titles.length - 1} more` : ''}`;
}

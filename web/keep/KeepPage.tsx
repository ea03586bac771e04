import './keep.css';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { BuildRow, CopyList } from '../api/types';
import { queries, useFrame } from '../frame/queries';
import { Builds } from './Builds';
import { Changes } from './Changes';
import { Copies } from './Copies';
import { OneFile } from './OneFile';

/** Does something, and says what came of it where it was pressed. */
export type Work = (work: () => Promise<string>) => Promise<void>;

/** All builds there are, copies of the whole bench, all of it in one file, and what was changed. With a damaged file only the copies. */
export default function KeepPage({ damaged = false }: { damaged?: boolean }): ReactElement {
    const copies = useQuery({ queryKey: ['copies'], queryFn: () => api.get<CopyList>('copies') });
    const row = useQuery({ queryKey: ['row'], queryFn: () => api.get<BuildRow>('builds'), enabled: !damaged });
    const frame = useFrame();
    const zone = frame.data?.builds[0]?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
    const [told, tell] = useState<{ words: string; bad: boolean } | null>(null);
    const work: Work = async (what) => {
        try {
            tell({ words: await what(), bad: false });
        } catch (error) {
            tell({ words: error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.', bad: true });
        }
        await queries.invalidateQueries();
    };

    return (
        <div className="keep">
            <div className="page-head">
                <h1>{damaged ? 'The file of the bench is damaged' : 'Builds and copies'}</h1>
                <p role={told?.bad === true ? 'alert' : 'status'} className="keep-told" data-told={told === null ? undefined : ''} data-bad={told?.bad === true ? '' : undefined} data-testid="told">
                    {told !== null && told.words !== ''
                        ? told.words
                        : damaged
                        ? 'Nothing more is written into it. Bring a copy back: the damaged file is set aside, and kept.'
                        : 'What is in hand, what is put away, and the way back from anything that went wrong.'}
                </p>
            </div>
            {/* All at once: what is there first would be pushed down by what comes. */}
            <div className="keep-halves" data-waiting={copies.isPending || (row.isPending && !damaged) ? '' : undefined}>
                {!damaged && (
                    <div className="keep-half">
                        {row.data !== undefined && <Builds builds={row.data.builds} work={work} zone={zone} />}
                        <OneFile work={work} />
                    </div>
                )}
                <div className="keep-half">
                    {copies.data !== undefined && <Copies list={copies.data} work={work} zone={zone} />}
                    {row.data !== undefined && !damaged && <Changes changes={row.data.changes} work={work} zone={zone} />}
                </div>
            </div>
        </div>
    );
}

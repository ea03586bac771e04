import './masks.css';
import type { ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import type { MasksPage as Masks } from '../api/types';
import { useMasks } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { TakeBack } from '../shared/TakeBack';
import { Patterns } from './Plates';
import { Register } from './Register';
import { Shapes } from './Shapes';
import { Stages } from './Stages';

/** What is covered with what while which colour is sprayed: the order, the masks, and the shapes that are cut. */
export default function MasksPage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useMasks(buildId);

    return data === undefined ? <p>Laying out the masks.</p> : <MasksStation data={data} />;
}

const VIEWS = [
    { view: 'stages', name: 'Stages' },
    { view: 'register', name: 'Register' },
    { view: 'shapes', name: 'Shapes' },
] as const;

function MasksStation({ data }: { data: Masks }): ReactElement {
    const change = useChange(data.build.id, data.build.revision);
    const [query, ask] = useSearchParams();
    const view = VIEWS.find((v) => v.view === query.get('view'))?.view ?? 'stages';
    const { colours, masks, edgeCm, evenings } = data.head;

    return (
        <div className="masks">
            <div className="page-head">
                <h1>Masks</h1>
                <p>
                    {colours} {colours === 1 ? 'colour' : 'colours'}, {masks} {masks === 1 ? 'mask' : 'masks'}, {(edgeCm / 100).toFixed(1)} m of edge
                    {evenings > 0 && `, ${evenings} ${evenings === 1 ? 'evening' : 'evenings'} to come`}
                </p>
                <div className="page-tools">
                    <TakeBack undoable={data.undoable} change={change} />
                    <div className="views" role="group" aria-label="Look at">
                        {VIEWS.map((v) => (
                            <button key={v.view} type="button" className="view" aria-pressed={view === v.view} onClick={() => ask(v.view === 'stages' ? {} : { view: v.view }, { replace: true })}>
                                {v.name}
                            </button>
                        ))}
                    </div>
                </div>
            </div>
            {change.wrong !== null && (
                <div className="notice" data-bad role="alert">
                    {change.wrong}
                </div>
            )}
            <Patterns />
            {view === 'stages' && <Stages data={data} change={change} />}
            {view === 'register' && <Register data={data} change={change} />}
            {view === 'shapes' && <Shapes data={data} scale={data.build.scale} change={change} />}
        </div>
    );
}

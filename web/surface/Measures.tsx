import { TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Place, SurfacePage } from '../api/types';
import { queries } from '../frame/queries';

/** What was measured, typed as one reads it off: 0.9, 0,9 mm or 35 thou. Filler, waits and minutes follow. */
export function Measures({ data, place }: { data: SurfacePage; place: Place }): ReactElement {
    const list = place.joint ? 'joints' : 'flaws';
    const fields = place.joint
        ? [
              { field: 'gapMm', label: 'Gap, mm', is: place.widthMm },
              { field: 'lengthCm', label: 'Length, cm', is: place.lengthCm },
          ]
        : [
              { field: 'widthMm', label: 'Width, mm', is: place.measured.widthMm },
              { field: 'depthMm', label: 'Depth, mm', is: place.measured.depthMm },
              { field: 'lengthMm', label: 'Length, mm', is: place.measured.lengthMm },
          ];

    return (
        <div className="measures">
            {fields.map((f) => (
                <Measure key={`${f.field}/${f.is}`} data={data} list={list} id={place.id} {...f} />
            ))}
        </div>
    );
}

function Measure({ data, list, id, field, label, is }: { data: SurfacePage; list: string; id: string; field: string; label: string; is: number }): ReactElement {
    const was = is === 0 ? '' : String(is);
    const [typed, type] = useState(was);
    const [wrong, say] = useState<string | null>(null);
    const commit = async (): Promise<void> => {
        if (typed.trim() === was) {
            say(null);

            return;
        }
        try {
            await api.post(`builds/${data.build.id}/cell`, { list, id, field, text: typed }, { 'If-Match': `"${data.build.revision}"` });
            say(null);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');

            return;
        }
        await queries.invalidateQueries();
    };

    return <TextInput label={label} value={typed} error={wrong} placeholder="–" onChange={(e) => type(e.currentTarget.value)} onBlur={() => void commit()} onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()} />;
}

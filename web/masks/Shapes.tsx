import { Button, Checkbox, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { api, Refused } from '../api/client';
import { useNow } from '../api/clock';
import type { Edit, MasksPage as Masks, ShapeSheet, Template, TemplateList } from '../api/types';
import { PrintFoot, PrintHead } from '../frame/Printed';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';
import { RubbingPhoto } from './RubbingPhoto';
import { ShapeDrawing, SheetDrawing } from './ShapeDrawing';

interface Asked {
    measures: Record<string, string>;
    grow: string;
    copies: string;
    start: string;
    mirror: boolean;
    pair: boolean;
}

const BLANK: Asked = { measures: {}, grow: '', copies: '', start: '', mirror: false, pair: false };

/** Shapes from a few measures, live and at true size, for a printer or a cutting machine. */
export function Shapes({ data, scale, change }: { data: Masks; scale: number; change: Change }): ReactElement {
    const { data: list } = useQuery({ queryKey: ['templates'], queryFn: () => api.get<TemplateList>('templates'), staleTime: Infinity, refetchInterval: false });
    const [query, ask] = useSearchParams();
    const template = list?.templates.find((t) => t.name === query.get('shape')) ?? list?.templates.find((t) => t.name === 'cone-band');

    if (list === undefined || template === undefined) {
        return <p>Fetching the templates.</p>;
    }

    return (
        <div className="shapes">
            <nav className="card shapes-list" aria-label="Templates">
                {list.templates.map((t) => (
                    <button key={t.name} type="button" className="shapes-name" aria-pressed={t === template} onClick={() => ask({ view: 'shapes', shape: t.name }, { replace: true })}>
                        <strong>{t.title}</strong> <span>{t.for}</span>
                    </button>
                ))}
            </nav>
            <OneShape key={template.name} template={template} data={data} scale={scale} change={change} />
        </div>
    );
}

function OneShape({ template, data, scale, change: kit }: { template: Template; data: Masks; scale: number; change: Change }): ReactElement {
    const [asked, change] = useState<Asked>(BLANK);
    const now = useNow();
    const search = searchOf(asked, scale);
    const { data: made, error } = useQuery({ queryKey: ['shape', template.name, search], queryFn: () => api.get<ShapeSheet>(`templates/${template.name}?${search}`), refetchInterval: false, retry: false });
    const wrong = error instanceof Refused ? (error.problems[0] ?? null) : null;
    const of = (field: string): string | undefined => (wrong !== null && wrong.path === field ? `${wrong.wrong}; ${wrong.right}` : undefined);
    // A photograph is open, and its outline is not yet one.
    const isBegun = template.name === 'rubbing' && asked.measures.from !== undefined && (asked.measures.points ?? '').split(',').length < 3;
    const fields = new Set([...template.fields.map((f) => f.name), 'grow', 'copies']);

    return (
        <>
            <section className="card shape-form" aria-labelledby="shape-title">
                <h2 id="shape-title">{template.title}</h2>
                <p className="shape-for">For {template.for}. The grey figures are an example until you type. Lengths in mm, or as 0.5 in, 12 thou, 610 mm full (of the full-size subject, 1/{scale}).</p>
                {template.name === 'rubbing' && <RubbingPhoto measures={asked.measures} change={(measures) => change({ ...asked, measures })} />}
                <div className="shape-fields">
                    {template.fields.map((field) => (
                        <TextInput
                            key={field.name}
                            label={field.unit === '' || field.unit === 'text' || field.unit === 'turns' ? field.label : `${field.label}, ${field.unit}`}
                            placeholder={field.default}
                            value={asked.measures[field.name] ?? ''}
                            onChange={(e) => change({ ...asked, measures: { ...asked.measures, [field.name]: e.currentTarget.value } })}
                            error={of(field.name)}
                            maxLength={field.unit === 'text' ? 2000 : 120}
                        />
                    ))}
                    {template.grows && <TextInput label="grow, mm (minus shrinks)" placeholder="0" value={asked.grow} onChange={(e) => change({ ...asked, grow: e.currentTarget.value })} error={of('grow')} maxLength={8} />}
                    <TextInput label="copies" placeholder="1" value={asked.copies} onChange={(e) => change({ ...asked, copies: e.currentTarget.value })} error={of('copies')} maxLength={3} />
                    <TextInput label="begins where" placeholder="keel, behind the step" value={asked.start} onChange={(e) => change({ ...asked, start: e.currentTarget.value })} maxLength={60} />
                </div>
                <Checkbox label="A pair: one for each hand" checked={asked.pair} onChange={(e) => change({ ...asked, pair: e.currentTarget.checked })} />
                {!asked.pair && <Checkbox label="Mirrored, for the other hand" checked={asked.mirror} onChange={(e) => change({ ...asked, mirror: e.currentTarget.checked })} />}
                {wrong !== null && !fields.has(wrong.path) && (
                    <p className="shape-wrong" role="alert">
                        {wrong.path.replaceAll('-', ' ')} {wrong.wrong}; {wrong.right}.
                    </p>
                )}
            </section>
            <section className="card shape-sheet" aria-label="The shape" aria-live="polite" data-testid="shape">
                <PrintHead title={template.title} build={data.build} at={now} />
                {made !== undefined && wrong === null && !isBegun ? (
                    <>
                        <dl className="shape-figures">
                            {made.shapes[0]?.figures.map((f) => (
                                <div key={f.name}>
                                    <dt>{f.name}</dt>
                                    <dd>{f.value}</dd>
                                </div>
                            ))}
                            <div>
                                <dt>on the sheet</dt>
                                <dd>
                                    {made.sheet.count} {made.sheet.count === 1 ? 'piece' : 'pieces'}, {Math.round(made.sheet.used * 100)} % used
                                </dd>
                            </div>
                        </dl>
                        {made.says.map((sentence) => (
                            <p key={sentence} className="shape-says" data-testid="shape-says">
                                {sentence}.
                            </p>
                        ))}
                        <div className="shape-measured">
                            {made.shapes.slice(0, 6).map((shape, i) => (
                                <ShapeDrawing key={i} shape={shape} name={`${template.title}${made.shapes.length > 1 ? ` ${i + 1}` : ''}`} />
                            ))}
                        </div>
                        <h3>At true size: {made.sheet.width} by {Math.round(made.sheet.height)} mm</h3>
                        <SheetDrawing sheet={made.sheet} />
                        <div className="finding-presses">
                            <a className="plain-press" href={`/api/templates/${template.name}/sheet.svg?${search}`} download>
                                SVG in mm
                            </a>
                            <a className="plain-press" href={`/api/templates/${template.name}/sheet.dxf?${search}`} download>
                                DXF for a cutter
                            </a>
                            <Button data-small onClick={() => window.print()}>
                                Print at 100 %
                            </Button>
                            <Button data-small data-testid="into-register" onClick={() => void kit.apply(`${template.title} into the register`, masksOf(asked, template, data.register.masks.length))}>
                                Into the register
                            </Button>
                        </div>
                    </>
                ) : (
                    <p className={wrong === null ? undefined : 'shape-none'}>{isBegun ? 'Three points round the edge make a shape.' : wrong === null ? 'Working it out.' : 'These measures make no shape: the field says which.'}</p>
                )}
                <PrintFoot />
            </section>
        </>
    );
}

/** The pieces of a shape as masks of the register: each copy one, a pair two. */
function masksOf(asked: Asked, template: Template, from: number): Edit[] {
    const copies = Math.max(1, Math.min(60, Math.floor(Number(asked.copies.replace(',', '.')) || 1)));
    const measures = template.fields.map((f) => `${f.name}=${(asked.measures[f.name] ?? '').trim() || f.default}`).join(', ').slice(0, 2400);
    const edits: Edit[] = [];
    for (let i = 0; i < copies; i++) {
        const pair = asked.pair ? `${template.name} ${from + i + 1}` : '';
        for (const hand of asked.pair ? ['port', 'starboard'] : ['none']) {
            edits.push({ op: 'add', list: 'masks', value: { id: ulid(), position: from + edits.length, label: template.title, sheet: '', what: copies > 1 ? String(i + 1) : '', shape: template.name, measures, area: null, hand, pair, stage: null, start: asked.start.trim(), lost: false } });
        }
    }

    return edits;
}

function searchOf(asked: Asked, scale: number): string {
    const search = new URLSearchParams({ scale: String(scale) });
    for (const [name, text] of Object.entries(asked.measures)) {
        if (text.trim() !== '') {
            search.set(`m[${name}]`, text.trim());
        }
    }
    for (const name of ['grow', 'copies', 'start'] as const) {
        if (asked[name].trim() !== '') {
            search.set(name, asked[name].trim());
        }
    }
    if (asked.pair) {
        search.set('pair', '1');
    } else if (asked.mirror) {
        search.set('mirror', '1');
    }

    return search.toString();
}

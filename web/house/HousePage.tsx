import './house.css';
import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { House, HouseQuestion } from '../api/types';
import { queries } from '../frame/queries';
import { useChange, type Change } from '../frame/useChange';
import { PreviewBox } from '../shared/PreviewBox';

/** Where good modellers disagree: a position on each question, what speaks for it, and what it changes in this build. */
export default function HousePage({ buildId }: { buildId: string }): ReactElement {
    const { data: house } = useQuery({ queryKey: ['house', buildId], queryFn: () => api.get<House>(`builds/${buildId}/house`) });

    return house === undefined ? <p>Fetching the house rules.</p> : <Questions house={house} />;
}

function Questions({ house }: { house: House }): ReactElement {
    const change = useChange(house.build.id, house.build.revision);

    return (
        <div className="house">
            <div className="page-head">
                <h1>House rules</h1>
                <p>Good modellers differ. Your positions hold for all builds; {house.build.name} can do otherwise. What a position changes here is shown before it does.</p>
            </div>
            {change.wrong !== null && (
                <div className="notice" data-bad role="alert">
                    {change.wrong}
                </div>
            )}
            <div className="questions">
                {house.questions.map((question) => (
                    <Question key={question.id} question={question} change={change} build={house.build.name} />
                ))}
            </div>
        </div>
    );
}

function Question({ question, change, build }: { question: HouseQuestion; change: Change; build: string }): ReactElement {
    const holds = question.here ?? question.yours;
    const [chosen, choose] = useState<string | null>(null);
    const [wrong, say] = useState<string | null>(null);
    const place = `house ${question.id}`;
    const shown = change.intended?.place === place ? change.intended : null;
    const marked = shown === null ? holds : (chosen ?? holds);
    const title = question.positions.find((p) => p.id === marked)?.title ?? '';

    const everywhere = async (position: string): Promise<void> => {
        try {
            await api.put('house', { question: question.id, position });
            if (question.here !== null) {
                await change.apply(`${question.title} As in all builds`, [{ op: 'house', list: question.id, value: null }]);
            }
            change.leave();
            say(null);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');
        }
        await queries.invalidateQueries();
    };

    return (
        <fieldset className="card question" data-testid={`question-${question.id}`}>
            <legend>{question.title}</legend>
            <p className="question-changes">
                Changes {question.changes}.{question.here !== null && <strong> Only in this build.</strong>}
            </p>
            {question.positions.map((position, i) => (
                <label key={position.id} className="position" data-holds={position.id === holds}>
                    <input
                        type="radio"
                        name={question.id}
                        value={position.id}
                        checked={position.id === marked}
                        onChange={() => {
                            choose(position.id);
                            void change.look(place, `${question.title} ${position.title}`, [{ op: 'house', list: question.id, value: position.id }]);
                        }}
                    />
                    <span>
                        <strong>{position.title}</strong>
                        {i === 0 && <small> usual</small>}
                        <em>{position.reason}</em>
                    </span>
                </label>
            ))}
            {question.here !== null && shown === null && (
                <Button data-small onClick={() => void change.look(place, `${question.title} As in all builds`, [{ op: 'house', list: question.id, value: null }])}>
                    As in all builds
                </Button>
            )}
            {shown !== null && (
                <>
                    <PreviewBox fix={{ ...shown, title: `in ${build} only` }} preview={shown.preview} apply={() => void change.apply(shown.title, shown.edits)} close={change.leave} />
                    {chosen !== null && chosen !== question.yours && shown.preview !== null && (
                        <Button data-small data-testid="everywhere" onClick={() => void everywhere(chosen)}>
                            In all builds: {title}
                        </Button>
                    )}
                </>
            )}
            {wrong !== null && <p className="field-error">{wrong}</p>}
        </fieldset>
    );
}

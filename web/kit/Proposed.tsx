import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Kit } from '../api/types';
import type { Change } from '../frame/useChange';
import { PreviewBox } from '../shared/PreviewBox';

/** What is asked of a kit that was proposed, and how much of it nobody has looked at yet. */
export function Proposed({ kit, change }: { kit: Kit; change: Change }): ReactElement | null {
    const { stands, questions } = kit.proposed;
    if (stands.length === 0 && questions.length === 0) {
        return null;
    }

    return (
        <section className="card proposed" aria-labelledby="proposed-title">
            <h2 id="proposed-title">{questions.length > 0 ? `${questions.length} short ${questions.length === 1 ? 'question' : 'questions'}` : 'As it was proposed'}</h2>
            {questions.map((question) => {
                const shown = change.intended?.place === question.id ? change.intended : null;

                return (
                    <div key={question.id} className="proposed-question" data-testid="question">
                        <p>
                            <strong>{question.asks}</strong> <span>It changes {question.changes}.</span>
                        </p>
                        <div className="finding-presses">
                            {question.answers.map((answer) => (
                                <Button key={answer.title} data-small onClick={() => void change.apply(`${question.asks} ${answer.title}`, answer.edits)}>
                                    {answer.title}
                                </Button>
                            ))}
                            {question.answers.slice(1).map((answer) => (
                                <button key={answer.title} type="button" className="proposed-what" aria-expanded={shown?.title === answer.title} onClick={() => void change.look(question.id, answer.title, answer.edits)}>
                                    What would “{answer.title}” change?
                                </button>
                            ))}
                        </div>
                        {shown !== null && <PreviewBox fix={shown} preview={shown.preview} apply={() => void change.apply(`${question.asks} ${shown.title}`, shown.edits)} close={change.leave} />}
                    </div>
                );
            })}
            {stands.length > 0 && (
                <p className="proposed-stands">
                    {stands.length} {stands.length === 1 ? 'thing stands' : 'things stand'} as proposed: parts, joints and areas with a ◇ in the tables. Change one and it is yours.
                    <Button data-small onClick={() => void change.apply('All of it is right as proposed', stands.map((s) => ({ op: 'remove', list: 'proposed', id: s.id })))}>
                        All of it is right
                    </Button>
                </p>
            )}
        </section>
    );
}

import { Checkbox, Modal } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Mark } from '../drawing/Mark';
import { keysAreOn, setKeys } from './keys';
import { TERMS } from './terms';

const KEYS: [string, string][] = [
    ['1', 'Kit: what it is made of, typed in'],
    ['2', 'Surface: every seam, what fills it, and the grits'],
    ['3', 'Layers: the whole finish edge-on, and what the rules find'],
    ['4', 'Masks: which colour first, and what is covered with what'],
    ['5', 'Mix: how much, in what ratio, and what it will look like'],
    ['6', 'Bench: what to do now'],
    ['7', 'Run-up: all builds on their way to a show'],
    ['8', 'Log: what was done'],
    ['Enter', 'on the Bench: the step is done'],
    ['w', 'on the Bench: something went wrong'],
    ['t', 'on the Bench: it was done earlier'],
    ['m', 'on the Bench: the minutes you have'],
    ['b', 'Booklet: call it out, page by page'],
    ['d', 'Break-down: what is glued when, and what holds it'],
    ['l', 'Colour lists: tick what has its colour'],
    ['h', 'House rules: where modellers differ'],
    ['e', 'Evenings: when you are at the bench, and the guns'],
    ['k', 'all builds, copies, and what was changed'],
    ['n', 'a new build: from nothing, a copy or a file'],
    ['Ctrl Enter', 'in the Kit: take the lines in'],
    ['Ctrl Space', 'in the Kit: find a paint'],
    ['Arrows', 'in the drawing and in tables: go from place to place'],
    ['/', 'find a piece, area, place, paint, step or rule'],
    ['?', 'this list'],
];

/** Three minutes on a build, station by station: what to look at, and what to press. */
const BEGIN: [string, string, string][] = [
    ['bench', 'Bench', 'One step is at hand, large, with its cup and air. Do it, press what it says: the plan goes on from there. Take it back beside it.'],
    ['bench', 'Hands off', 'At the right stands what may not be touched, why, and until when. The line on top is the same for all builds.'],
    ['layers', 'Layers', 'Each area is a column, bare at the bottom. Above the thick stair is what is still to come. Press a layer: it says why it is there, and how to have it otherwise.'],
    ['masks', 'Masks', 'Which colour goes first, and what it costs to do it another way; then what is capped with what, stage by stage.'],
    ['mix', 'Mix', 'What goes in, how much, and the cup with its marks. The rest opens when it is wanted.'],
    ['runup', 'Run-up', 'All builds on their way to a show, evening by evening, and what would help.'],
    ['kit', 'Your own kit', 'Press + build: say what it is of, its size and how it shall look. It proposes the rest, and asks five short questions.'],
];

const TABS = [
    ['begin', 'Begin here'],
    ['keys', 'Keys'],
    ['words', 'Words'],
    ['marks', 'Marks'],
] as const;

/**
 * Where to begin, keys, words by letter, marks, and the caution that stands over everything.
 *
 * @param buildId - the build to begin on; undefined where there is none
 */
export function HelpSheet({ buildId, opened, close }: { buildId: string | undefined; opened: boolean; close: () => void }): ReactElement {
    const [on, turn] = useState(keysAreOn);
    const [tab, show] = useState<(typeof TABS)[number][0]>('begin');

    return (
        <Modal opened={opened} onClose={close} title="Help" size="lg">
            <div className="views help-tabs" role="group" aria-label="What about">
                {TABS.map(([key, word]) => (
                    <button key={key} type="button" className="view" aria-pressed={key === tab} onClick={() => show(key)}>
                        {word}
                    </button>
                ))}
            </div>
            {tab === 'begin' && (
                <ol className="begin-here">
                    {BEGIN.map(([station, name, words]) => (
                        <li key={name}>
                            {buildId === undefined ? (
                                <strong>{name}</strong>
                            ) : (
                                <Link to={`/b/${buildId}/${station}`} onClick={close}>
                                    {name}
                                </Link>
                            )}
                            <span>{words}</span>
                        </li>
                    ))}
                </ol>
            )}
            {tab === 'keys' && (
                <>
                    <dl className="keys">
                        {KEYS.filter(([key]) => on || key.length > 1).map(([key, what]) => (
                            <FragmentRow key={key} name={key} what={what} />
                        ))}
                    </dl>
                    <Checkbox
                        label="Single keys are on"
                        checked={on}
                        onChange={(e) => {
                            setKeys(e.currentTarget.checked);
                            turn(e.currentTarget.checked);
                        }}
                    />
                </>
            )}
            {tab === 'words' && (
                <dl className="keys words-by-letter" tabIndex={0} aria-label="Words by letter">
                    {Object.entries(TERMS)
                        .sort(([a], [b]) => a.localeCompare(b))
                        .map(([word, means]) => (
                            <FragmentRow key={word} name={word} what={means} />
                        ))}
                </dl>
            )}
            {tab === 'marks' && (
                <ul className="mark-list">
                    {(['open', 'hold', 'closing', 'shut'] as const).map((kind) => (
                        <li key={kind}>
                            <Mark kind={kind} size={22} left={0.65} /> {kind}: {TERMS[kind]}
                        </li>
                    ))}
                </ul>
            )}
            <p className="frame-caution">
                The product&rsquo;s safety data sheet and local rules come first; this is general practice, not professional advice. For exposure limits, ventilation design, waste and medical
                questions ask the people licensed for it.
            </p>
        </Modal>
    );
}

function FragmentRow({ name, what }: { name: string; what: string }): ReactElement {
    return (
        <>
            <dt>{name}</dt>
            <dd>{what}</dd>
        </>
    );
}

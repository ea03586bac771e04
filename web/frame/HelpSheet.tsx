import { Checkbox, Modal } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Mark } from '../drawing/Mark';
import { keysAreOn, setKeys } from './keys';

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

/** Keys, marks and the caution that stands over everything. */
export function HelpSheet({ opened, close }: { opened: boolean; close: () => void }): ReactElement {
    const [on, turn] = useState(keysAreOn);

    return (
        <Modal opened={opened} onClose={close} title="Help" size="lg">
            <dl className="keys">
                {KEYS.map(([key, what]) => (
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
            <ul className="mark-list">
                <li>
                    <Mark kind="open" size={22} /> open: its next step can be done now
                </li>
                <li>
                    <Mark kind="hold" size={22} left={0.65} /> hold: wait until a time
                </li>
                <li>
                    <Mark kind="closing" size={22} /> closing: do it before a time, or lose the chance
                </li>
                <li>
                    <Mark kind="shut" size={22} /> shut: waits for another step, no clock
                </li>
            </ul>
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

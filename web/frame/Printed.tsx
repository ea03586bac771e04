import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import { clock, day } from './words';

/** What a sheet is of: one build, or several. */
export type Printed = Pick<Plan['build'], 'name' | 'zone'> & { scale?: Plan['build']['scale'] };

/** What stands at the head of a printed sheet, and nowhere on the screen. */
export function PrintHead({ title, build, at }: { title: string; build: Printed; at: number }): ReactElement {
    return (
        <header className="print-head">
            <strong>{title}</strong>
            <span>
                {build.name}
                {build.scale === undefined ? '' : `, 1/${build.scale}`}
            </span>
            <span>
                {day(at, build.zone)} {clock(at, build.zone)}
            </span>
        </header>
    );
}

/** The caution of every sheet, and a ruler that tells whether it was printed at its true size. */
export function PrintFoot(): ReactElement {
    return (
        <footer className="print-foot">
            <svg width="54mm" height="9mm" viewBox="0 0 54 9" aria-hidden="true">
                <path d="M1 4 H51" stroke="currentColor" strokeWidth="0.3" />
                {Array.from({ length: 11 }, (_, i) => (
                    <path key={i} d={`M${1 + 5 * i} ${i % 2 === 0 ? 1.2 : 2.6} V4`} stroke="currentColor" strokeWidth="0.3" />
                ))}
                <text x="1" y="8" fontSize="3">
                    50 mm when printed at 100 %
                </text>
            </svg>
            <p>The product&rsquo;s safety data sheet and local rules come first; this is general practice, not professional advice; for exposure limits, ventilation design, waste and medical questions ask the people licensed for it.</p>
        </footer>
    );
}

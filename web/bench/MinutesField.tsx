import { useState, type ReactElement } from 'react';

const KEY = 'amber.minutes';
const LEAST = 5;
const MOST = 720;

export function useMinutes(): [number, (minutes: number) => void] {
    const [minutes, set] = useState(() => {
        const kept = Number(localStorage.getItem(KEY));

        return kept >= LEAST && kept <= MOST ? kept : 90;
    });

    return [
        minutes,
        (next) => {
            localStorage.setItem(KEY, String(next));
            set(next);
        },
    ];
}

/** "You have 90 min": typing it plans the evening anew. */
export function MinutesField({ minutes, set, follows, idle }: { minutes: number; set: (m: number) => void; follows: number; idle: number }): ReactElement {
    const [typed, type] = useState(String(minutes));
    const read = Number(typed);
    const wrong = !Number.isInteger(read) || read < LEAST || read > MOST;

    return (
        <p>
            <label htmlFor="minutes">You have </label>
            <input
                id="minutes"
                className="minutes"
                inputMode="numeric"
                value={typed}
                aria-invalid={wrong}
                aria-describedby="minutes-say"
                onChange={(e) => {
                    type(e.currentTarget.value);
                    const next = Number(e.currentTarget.value);
                    if (Number.isInteger(next) && next >= LEAST && next <= MOST) {
                        set(next);
                    }
                }}
                onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
            />{' '}
            min
            <span id="minutes-say">{wrong ? `: give whole minutes, ${LEAST} to ${MOST}` : `: ${follows === 1 ? '1 step fits' : `${follows} steps fit`}, ${idle} min idle`}</span>
        </p>
    );
}

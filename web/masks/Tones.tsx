import type { ReactElement } from 'react';
import type { MaskPattern } from '../api/types';

/** Tones over one another from one start mark: how much of each for all it goes on, and out of which jars. */
export function Tones({ pattern }: { pattern: MaskPattern }): ReactElement {
    return (
        <section className="card tones" aria-label={`Tones from ${pattern.start}`} data-testid="tones">
            <h2>{pattern.tones.length} tones from one mark</h2>
            <p>
                All masks on {listed(pattern.pieces)} begin at <b>{pattern.start}</b>. Each tone is mixed once, for everything it goes on.
            </p>
            <div className="register-scroll" tabIndex={0} role="group" aria-label="The tones as a table">
                <table>
                    <thead>
                        <tr>
                            <th scope="col">Tone</th>
                            <th scope="col">field</th>
                            <th scope="col">coats</th>
                            <th scope="col">mix, neat</th>
                            <th scope="col">out of</th>
                            <th scope="col">goes on</th>
                        </tr>
                    </thead>
                    <tbody>
                        {pattern.tones.map((tone) => (
                            <tr key={tone.colour}>
                                <th scope="row">
                                    <i className="tone-swatch" style={{ background: tone.swatch ?? 'transparent' }} />
                                    {tone.name}
                                </th>
                                <td>{tone.cm2} cm²</td>
                                <td>{tone.coats}</td>
                                <td>
                                    <b>{tone.ml.toFixed(2)} ml</b>
                                    {tone.mixMl > tone.ml && <span className="tone-least">mix {tone.mixMl.toFixed(1)} ml: less has no whole drop of each</span>}
                                </td>
                                <td>{tone.jars.map((jar) => `${jar.ml.toFixed(2)} ml ${jar.paint}`).join(', ')}</td>
                                <td>{listed(tone.pieces)}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <p data-testid="tone-jars">
                Together {pattern.ml.toFixed(1)} ml neat: {pattern.jars.map((jar) => `${jar.ml.toFixed(1)} ml ${jar.paint}${short(jar)}`).join(', ')}.
            </p>
        </section>
    );
}

function short(jar: MaskPattern['jars'][number]): string {
    return jar.levelMl === null || jar.levelMl >= jar.ml ? '' : ` (${jar.levelMl.toFixed(1)} ml are left)`;
}

function listed(names: string[]): string {
    return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;
}

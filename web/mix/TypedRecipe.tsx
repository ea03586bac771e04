import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { RecipeAsk, RecipeLines } from '../api/types';

/** A recipe in one line; what can be read two ways is asked before it counts. */
export function TypedRecipe({ take }: { take: (read: RecipeLines) => void }): ReactElement {
    const [text, type] = useState('');
    const [wrong, say] = useState<string | null>(null);
    const read = async (): Promise<void> => {
        try {
            take(await api.post<RecipeLines>('recipes/read', { text }));
            say(null);
            type('');
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached.');
        }
    };

    return (
        <form
            className="typed"
            onSubmit={(e) => {
                e.preventDefault();
                void read();
            }}
        >
            <TextInput label="Or type a recipe" placeholder="3 sea grey + 1 ground white + 5 % retarder" value={text} error={wrong} onChange={(e) => type(e.currentTarget.value)} data-testid="typed-recipe" />
            <Button data-small type="submit" disabled={text.trim() === ''}>
                Read it
            </Button>
        </form>
    );
}

/** What is asked of a recipe, with a press for each reading; unverified until all are answered. */
export function Asks({ asks, answer }: { asks: RecipeAsk[]; answer: (ask: number, reading: number) => void }): ReactElement | null {
    return asks.length === 0 ? null : (
        <div className="asks" role="status" data-testid="asks">
            {asks.map((ask, i) => (
                <div key={ask.kept.about}>
                    <p>
                        <strong>Unverified.</strong> {ask.question}
                    </p>
                    <div className="asks-readings">
                        {ask.readings.map((words, n) => (
                            <Button key={words} data-small onClick={() => answer(i, n)}>
                                {words}
                            </Button>
                        ))}
                    </div>
                </div>
            ))}
        </div>
    );
}

import { Button } from '@mantine/core';
import { useRef, type ReactElement } from 'react';

interface Props {
    /** What the file is, for who does not see the press. */
    label: string;
    words: string;
    accept?: string;
    disabled?: boolean;
    /** On a phone the camera behind opens. */
    camera?: boolean;
    testId?: string;
    take: (file: File) => void;
}

/** A press that asks for one file; the same one can be given again. */
export function FilePress({ label, words, accept = 'image/jpeg,image/png,image/webp', disabled = false, camera = false, testId, take }: Props): ReactElement {
    const file = useRef<HTMLInputElement>(null);

    return (
        <>
            <input
                ref={file}
                type="file"
                accept={accept}
                capture={camera ? 'environment' : undefined}
                className="unseen"
                tabIndex={-1}
                aria-label={label}
                data-testid={testId}
                onChange={(e) => {
                    const chosen = e.currentTarget.files?.[0];
                    if (chosen !== undefined) {
                        take(chosen);
                    }
                    e.currentTarget.value = '';
                }}
            />
            <Button data-small disabled={disabled} onClick={() => file.current?.click()}>
                {words}
            </Button>
        </>
    );
}

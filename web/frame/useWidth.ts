import { useCallback, useState } from 'react';

/** The width of an element in px, measured when it appears and whenever it changes. */
export function useWidth(): [(node: HTMLElement | null) => void, number] {
    const [width, set] = useState(0);
    const [watch] = useState(() => new ResizeObserver(([entry]) => entry !== undefined && set(Math.round(entry.contentRect.width))));
    const ref = useCallback(
        (node: HTMLElement | null) => {
            watch.disconnect();
            if (node !== null) {
                set(Math.round(node.getBoundingClientRect().width));
                watch.observe(node);
            }
        },
        [watch],
    );

    return [ref, width];
}

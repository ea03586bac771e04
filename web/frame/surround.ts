import { useMantineColorScheme } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';

export type Surround = 'day' | 'booth';

const KEY = 'amber.surround';

/** Day for a lit room, Booth for a dim spray corner; kept in this browser. */
export function useSurround(): [Surround, () => void] {
    const { setColorScheme } = useMantineColorScheme();
    const [surround, set] = useState<Surround>(() => (localStorage.getItem(KEY) === 'booth' ? 'booth' : 'day'));
    useEffect(() => {
        document.documentElement.dataset['surround'] = surround;
        setColorScheme(surround === 'booth' ? 'dark' : 'light');
        localStorage.setItem(KEY, surround);
    }, [surround, setColorScheme]);

    return [surround, useCallback(() => set((was) => (was === 'day' ? 'booth' : 'day')), [])];
}

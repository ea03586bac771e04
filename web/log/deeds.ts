import type { NewEvent } from '../api/types';

/** What can be written down by hand: an event kind, its operation, and what it has to be asked. */
export interface Deed {
    value: string;
    label: string;
    kind: NewEvent['kind'];
    operation?: string;
    coat: boolean;
    joint: boolean;
    wipe?: string;
}

const coat = (operation: string, label: string): Deed => ({ value: operation, label, kind: 'done', operation, coat: true, joint: false });
const work = (operation: string, label: string, joint = false): Deed => ({ value: operation, label, kind: 'done', operation, coat: false, joint });

export const DEEDS: [Deed, ...Deed[]] = [
    coat('colour', 'A coat of colour'),
    coat('prime', 'A coat of primer'),
    coat('ground', 'A coat of ground'),
    coat('preshade', 'Pre-shade'),
    coat('inside-colour', 'A coat of inside colour'),
    coat('gloss', 'A coat of gloss'),
    coat('seal', 'A sealing coat'),
    coat('barrier', 'A barrier coat'),
    coat('final', 'A final coat'),
    coat('pin-wash', 'A pin wash'),
    coat('filter', 'A filter'),
    work('decal', 'Decals'),
    { value: 'mask-on', label: 'A mask on', kind: 'mask-on', coat: false, joint: false },
    { value: 'mask-off', label: 'A mask off', kind: 'mask-off', coat: false, joint: false },
    work('wash', 'Washed'),
    { value: 'wipe-alcohol', label: 'Wiped with alcohol', kind: 'done', operation: 'wipe', coat: false, joint: false, wipe: 'alcohol' },
    { value: 'wipe-water', label: 'Wiped with soapy water', kind: 'done', operation: 'wipe', coat: false, joint: false, wipe: 'water' },
    work('flat', 'Sanded'),
    work('inspect', 'Looked over'),
    { value: 'glued', label: 'A joint closed', kind: 'glued', operation: 'glue', coat: false, joint: true },
    work('fill', 'A joint filled', true),
    work('cut-back', 'A joint cut back', true),
    work('check-seam', 'A seam checked', true),
    { value: 'into-cabinet', label: 'Into the cabinet', kind: 'into-cabinet', coat: false, joint: false },
    { value: 'out-of-cabinet', label: 'Out of the cabinet', kind: 'out-of-cabinet', coat: false, joint: false },
    { value: 'note', label: 'A note', kind: 'note', coat: false, joint: false },
];

export const MEDIA = ['paper-tape', 'vinyl-tape', 'cut-film', 'liquid-mask', 'putty', 'rubber-cement', 'tissue', 'held-card'].map((value) => ({ value, label: value.replace('-', ' ') }));

import type { Edit, SectionCap, SectionCell, SectionPin } from '../api/types';
import { ulid } from '../frame/ulid';

/** What a pin fixes of a layer or a mask. */
export type PinField = 'coats' | 'product' | 'coatKind' | 'medium' | 'present' | 'extraThinner';

interface Pinned {
    operation: string;
    purpose: string | null;
    pins: SectionPin[];
}

export function pinnedOf(cell: SectionCell | SectionCap): Pinned {
    return 'operation' in cell ? { operation: cell.operation ?? '', purpose: cell.purpose, pins: cell.pins } : { operation: 'mask', purpose: cell.purpose, pins: cell.pins };
}

/** The edits that pin one thing: an own pin is changed, else one is added; null takes what was pinned back. */
export function pin(about: Pinned, target: string | null, field: PinField, value: string | number | boolean | null): Edit[] {
    const own = about.pins.find((p) => p.target === target);
    if (own !== undefined) {
        const others = (['coats', 'product', 'coatKind', 'medium', 'present', 'extraThinner'] as const).filter((f) => f !== field && own[f] !== null && own[f] !== false);

        return value === null && others.length === 0 ? [{ op: 'remove', list: 'pins', id: own.id }] : [{ op: 'set', list: 'pins', id: own.id, field, value }];
    }

    return value === null ? [] : [{ op: 'add', list: 'pins', value: { id: ulid(), operation: about.operation, target, purpose: about.purpose, [field]: value } }];
}

export function unpin(of: SectionPin): Edit[] {
    return [{ op: 'remove', list: 'pins', id: of.id }];
}

export function pinWords(of: SectionPin, product: (id: string) => string): string {
    const said = [
        of.present === false ? 'left out' : '',
        of.coats === null ? '' : of.coats === 1 ? '1 coat' : `${of.coats} coats`,
        of.product === null ? '' : product(of.product),
        of.coatKind === null ? '' : `${of.coatKind} coats`,
        of.extraThinner ? 'last coat with extra thinner' : '',
        of.medium === null ? '' : of.medium.replaceAll('-', ' '),
    ].filter(Boolean);

    return `${said.join(', ')}${of.target === null ? ', everywhere' : ''}`;
}

export function before(first: string, then: string): Edit[] {
    return [{ op: 'add', list: 'orders', value: { id: ulid(), first, then } }];
}

export function notBefore(step: string, instant: string): Edit[] {
    return [{ op: 'add', list: 'notBefore', value: { id: ulid(), step, at: instant } }];
}

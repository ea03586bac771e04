import type { Plan, SectionCap, SectionCell } from '../api/types';
import { LONGEST } from './geometry';

/** As much of an area's name as the foot has room for, and how many more it stands for. */
export function footName(name: string, stands: number[]): string {
    return (name.length > LONGEST ? name.slice(0, LONGEST - 1) + '…' : name) + (stands.length > 1 ? ` +${stands.length - 1}` : '');
}

export function describe(plan: Plan, cell: SectionCell): string {
    const row = plan.section.rows[cell.row];
    const column = plan.section.columns[cell.column];
    const coats = cell.kind === 'bare' ? column?.base ?? '' : cell.coats > 1 ? `${cell.coats} coats` : '1 coat';
    const state = cell.kind === 'bare' ? '' : cell.real === cell.coats ? ', on' : cell.real === 0 ? ', planned' : `, ${cell.real} on`;

    return `${column?.name ?? ''}: ${row?.title ?? ''}, ${coats}${state}`;
}

export function capWords(plan: Plan, cap: SectionCap): string {
    return `${plan.section.columns[cap.column]?.name ?? ''}: capped with ${cap.word}${cap.off ? ', off again' : cap.on ? ', on' : ', planned'}`;
}

import type { ReactElement } from 'react';
import type { RowKind, SectionCell } from '../api/types';

interface Props {
    cell: SectionCell;
    base: string | null;
    x: number;
    y: number;
    width: number;
    height: number;
}

/** One layer cut edge-on. What is laid is solid, what is planned is ghosted; kinds are told apart by their pattern. */
export function CellShape({ cell, base, x, y, width, height }: Props): ReactElement {
    const laid = cell.real / cell.coats;
    const inset = width > 20 ? 3 : 1;
    const box = { x: x + inset, width: Math.max(2, width - 2 * inset) };
    const top = y + 2;
    const tall = height - 3;

    return (
        <>
            {laid < 1 && <Part kind={cell.kind} swatch={swatchOf(cell, base)} {...box} y={top} height={tall * (1 - laid)} planned />}
            {laid > 0 && <Part kind={cell.kind} swatch={swatchOf(cell, base)} {...box} y={top + tall * (1 - laid)} height={tall * laid} planned={false} />}
        </>
    );
}

function swatchOf(cell: SectionCell, base: string | null): string | null {
    return cell.kind === 'bare' ? base : cell.swatch;
}

interface PartProps {
    kind: RowKind;
    swatch: string | null;
    x: number;
    y: number;
    width: number;
    height: number;
    planned: boolean;
}

function Part({ kind, swatch, x, y, width, height, planned }: PartProps): ReactElement {
    const line = { stroke: planned ? 'var(--rule-strong)' : 'var(--ink)', strokeWidth: 1, strokeDasharray: planned ? '3 2' : undefined };
    switch (kind) {
        case 'decal':
            return <rect x={x + width * 0.22} y={y + height * 0.24} width={width * 0.56} height={Math.max(3, height * 0.52)} fill="var(--surface)" {...line} />;
        case 'wash':
            return <line x1={x} x2={x + width} y1={y + height / 2} y2={y + height / 2} stroke={swatch ?? 'var(--ink-soft)'} strokeWidth={planned ? 2 : 4} strokeDasharray={planned ? '5 5' : '8 4'} />;
        case 'clear':
            return <rect x={x} y={y} width={width} height={height} fill="url(#clear-lines)" {...line} />;
        case 'cut':
            return <path d={`M ${x} ${y + height - 2} l ${width / 2} ${-(height - 4)} l ${width / 2} ${height - 4}`} fill="none" {...line} strokeWidth={1.4} />;
        case 'seam':
            return <rect x={x} y={y + 2} width={width} height={height - 4} fill="url(#seam-dots)" {...line} />;
        default:
            return (
                <>
                    <rect x={x} y={y} width={width} height={height} fill={swatch ?? 'var(--surface)'} fillOpacity={planned ? 0.55 : 1} {...line} />
                    {kind === 'bare' && swatch === null && <rect x={x} y={y} width={width} height={height} fill="url(#clear-glass)" />}
                    {kind === 'shade' && <rect x={x} y={y} width={width} height={height} fill="url(#shade-bars)" opacity={planned ? 0.6 : 1} />}
                </>
            );
    }
}

/** Patterns of the section, once for each drawing. */
export function Patterns(): ReactElement {
    return (
        <defs>
            <pattern id="cap-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="8" height="8" fill="var(--surface)" />
                <line x1="1" x2="1" y1="0" y2="8" stroke="var(--rule-strong)" strokeWidth="2" />
            </pattern>
            <pattern id="clear-lines" width="8" height="5" patternUnits="userSpaceOnUse">
                <rect width="8" height="5" fill="var(--surface)" />
                <line x1="0" x2="8" y1="2.5" y2="2.5" stroke="var(--rule-strong)" strokeWidth="1" />
            </pattern>
            <pattern id="clear-glass" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
                <line x1="2" x2="2" y1="0" y2="9" stroke="var(--rule)" strokeWidth="2" />
            </pattern>
            <pattern id="seam-dots" width="6" height="6" patternUnits="userSpaceOnUse">
                <rect width="6" height="6" fill="var(--raised)" />
                <circle cx="2" cy="2" r="1.1" fill="var(--ink-faint)" />
            </pattern>
            <pattern id="shade-bars" width="10" height="10" patternUnits="userSpaceOnUse">
                <rect width="5" height="10" fill="var(--surface)" fillOpacity="0.45" />
            </pattern>
        </defs>
    );
}

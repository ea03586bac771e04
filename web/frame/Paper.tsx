import './paper.css';
import { Button } from '@mantine/core';
import type { ReactElement, ReactNode } from 'react';
import { Link } from 'react-router';
import { PrintFoot, PrintHead, type Printed } from './Printed';

interface Props {
    title: string;
    /** What it says of itself beside its title, on the screen alone. */
    says: string;
    build: Printed;
    at: number;
    back: { to: string; word: string };
    className?: string;
    children: ReactNode;
}

/** A sheet as it comes out of the printer, with what prints it above. */
export function Paper({ title, says, build, at, back, className, children }: Props): ReactElement {
    return (
        <div className={className === undefined ? 'sheet-page' : `sheet-page ${className}`}>
            <div className="page-head">
                <h1>{title}</h1>
                <p>{says}</p>
                <div className="page-tools">
                    <Link className="plain-press" to={back.to}>
                        {back.word}
                    </Link>
                    <Button data-main onClick={() => window.print()}>
                        Print
                    </Button>
                </div>
            </div>
            <div className="card paper">
                <PrintHead title={title} build={build} at={at} />
                {children}
                <PrintFoot />
            </div>
        </div>
    );
}

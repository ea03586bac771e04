<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** What can physically happen at the bench. */
enum EventKind: string
{
    case Done = 'done';
    case MaskOn = 'mask-on';
    case MaskOff = 'mask-off';
    case Glued = 'glued';
    case IntoCabinet = 'into-cabinet';
    case OutOfCabinet = 'out-of-cabinet';
    case Mixed = 'mixed';
    /** A line of a colour's list has its colour. */
    case Ticked = 'ticked';
    /** A part is in its place. */
    case Fitted = 'fitted';
    case Fault = 'fault';
    case Verdict = 'verdict';
    case Reading = 'reading';
    case Note = 'note';
    case TakeBack = 'take-back';
}

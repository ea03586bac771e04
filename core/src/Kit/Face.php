<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Which face of its piece an area lies on. */
enum Face: string
{
    case Outside = 'outside';
    case Inside = 'inside';
    case JointFace = 'joint-face';
    case Pane = 'pane';
}

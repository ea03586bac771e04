<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** A place to be filled, as far as the choice of filler looks at it. */
final readonly class Gap
{
    /**
     * @param  float  $mm  how wide, above 0 to 20
     * @param  bool  $straight  a shim goes in
     * @param  bool  $shaped  soft or shaped: it is modelled
     * @param  bool  $paneBeside  no superglue near it
     * @param  bool  $rescribed  a line runs through it
     * @param  bool  $tonight  it is to be sanded this evening
     * @param  float  $lengthCm  0 where nobody said
     */
    public function __construct(
        public float $mm,
        public Access $access = Access::Open,
        public bool $straight = true,
        public bool $shaped = false,
        public bool $paneBeside = false,
        public bool $rescribed = false,
        public bool $tonight = false,
        public float $lengthCm = 0,
    ) {
    }
}

<?php

declare(strict_types=1);

// What every answer carries, files of the build too: nobody frames it, guesses at it, or reads it from another page.
return [
    'X-Content-Type-Options' => 'nosniff',
    'X-Frame-Options' => 'DENY',
    'Referrer-Policy' => 'no-referrer',
    'Cross-Origin-Opener-Policy' => 'same-origin',
    'Cross-Origin-Resource-Policy' => 'same-origin',
];

<?php

declare(strict_types=1);

// Commands are found in app/Console/Commands.

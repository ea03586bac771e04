<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

/** Why steps stand where they do in the order, worked out for the one that is asked about. */
interface Standing
{
    /** @return list<Constraint> what a step comes after, what is done last first */
    public function reasons(string $key): array;

    /** @return list<string> keys of steps that have to be done before one and are not, what is done last first */
    public function waitsOn(string $key): array;

    /** @return string|null key of the first of these */
    public function shutBy(string $key): ?string;
}

<?php

declare(strict_types=1);

namespace App\Build;

/** Brings an old build file to the format of today, one pure step for each format there ever was. */
final class Lift
{
    /**
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    public static function toCurrent(int $format, array $file): array
    {
        for (; $format < BuildFile::FORMAT; $format++) {
            $file = match ($format) {
                1 => self::fromOne($file),
                2 => self::fromTwo($file),
                3 => self::fromThree($file),
                4 => self::fromFour($file),
                // Since 6 a file may carry a digest, and need not.
                default => $file,
            };
        }

        return [...$file, 'format' => BuildFile::FORMAT];
    }

    /**
     * Since 2: parts say whether light gets through, edges how the subject had them, tests what they are sprayed on.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromOne(array $file): array
    {
        $kit = is_array($file['kit'] ?? null) ? $file['kit'] : [];
        foreach (['parts' => ['letsLight' => false], 'edges' => ['subject' => null], 'inserted' => ['surface' => null]] as $list => $new) {
            if (is_array($kit[$list] ?? null)) {
                $kit[$list] = array_map(static fn (mixed $thing): mixed => is_array($thing) ? [...$thing, ...$new] : $thing, $kit[$list]);
            }
        }

        return isset($file['kit']) ? [...$file, 'kit' => $kit] : $file;
    }

    /**
     * Since 3: events say whether the paint was hardened.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromTwo(array $file): array
    {
        if (is_array($file['events'] ?? null)) {
            $file['events'] = array_map(static fn (mixed $event): mixed => is_array($event) ? [...$event, 'hardened' => false] : $event, $file['events']);
        }

        return $file;
    }

    /**
     * Since 4: flaws and features are in the register, joints say how one gets at them, events how long it took and how much of a mix was used.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromThree(array $file): array
    {
        $kit = is_array($file['kit'] ?? null) ? $file['kit'] : [];
        if (is_array($kit['joints'] ?? null)) {
            $kit['joints'] = array_map(static fn (mixed $joint): mixed => is_array($joint) ? [...$joint, 'access' => 'open', 'crossed' => false] : $joint, $kit['joints']);
        }

        if (is_array($file['events'] ?? null)) {
            $file['events'] = array_map(static fn (mixed $event): mixed => is_array($event) ? [...$event, 'minutes' => null, 'predictedMl' => null, 'usedMl' => null, 'nozzleMm' => null] : $event, $file['events']);
        }

        return isset($file['kit']) ? [...$file, 'kit' => [...$kit, 'flaws' => [], 'features' => [], 'photos' => []]] : $file;
    }

    /**
     * Since 5: paints may be mixed, read back from a spoon, counted in drops and stirred; events say what was poured, pins whether a last coat is thinned more.
     *
     * @param  array<mixed>  $file
     * @return array<mixed>
     */
    private static function fromFour(array $file): array
    {
        foreach (['products' => ['optics' => null, 'mix' => null, 'dropsPerMl' => null, 'stirred' => null], 'events' => ['poured' => []]] as $list => $new) {
            if (is_array($file[$list] ?? null)) {
                $file[$list] = array_map(static fn (mixed $thing): mixed => is_array($thing) ? [...$thing, ...$new] : $thing, $file[$list]);
            }
        }
        if (is_array($file['kit'] ?? null) && is_array($file['kit']['pins'] ?? null)) {
            $file['kit']['pins'] = array_map(static fn (mixed $pin): mixed => is_array($pin) ? [...$pin, 'extraThinner' => false] : $pin, $file['kit']['pins']);
        }

        return $file;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpToken;

/** Reads who uses whom, file by file, and names each use that goes against the order of the rooms. */
final class Direction
{
    /** Each may use those before it (docs/map.md). */
    public const CORE = ['Document', 'Colour', 'Material', 'Work', 'Kit', 'Log', 'Drying', 'Step', 'Timing', 'Mixing', 'Spray', 'Seam', 'Masking', 'Lines', 'Subject', 'Booklet', 'Layering', 'Telling', 'Rule', 'Plan', 'Section', 'RunUp'];

    public const APP = ['Models', 'Clock', 'Csv', 'Photos', 'Repositories', 'Room', 'Keeping', 'Build', 'Calendar', 'Demo', 'Http/Presenters', 'Answers', 'Search', 'Http', 'Http/Middleware', 'Http/Controllers', 'Console', 'Providers'];

    /** Stations stand side by side: none imports another. */
    public const WEB = [['theme'], ['api'], ['drawing'], ['frame'], ['shared'], ['bench', 'booklet', 'breakdown', 'evenings', 'house', 'keep', 'kit', 'layers', 'lists', 'log', 'mix', 'runup', 'surface', 'masks'], ['']];

    /**
     * @param  list<string>  $order  rooms below the namespace, lowest first
     * @param  array<string, string>  $files  code by path, such as "core/src/Kit/Kit.php"
     * @return list<string> "core/src/Kit/Kit.php:12: Kit uses Plan\Plan, which comes after it"
     */
    public static function php(string $namespace, array $order, array $files): array
    {
        $breaches = [];
        foreach ($files as $path => $code) {
            preg_match('~^namespace '.preg_quote($namespace, '~').'\\\\([\w\\\\]+);~m', $code, $m);
            $from = self::room($m[1] ?? '', $order);
            if ($from === null) {
                $breaches[] = "{$path}:1: lies in no room of {$namespace}";

                continue;
            }
            foreach (PhpToken::tokenize($code) as $token) {
                $name = ltrim($token->text, '\\');
                if (! $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) || ! str_starts_with($name, $namespace.'\\')) {
                    continue;
                }
                $used = substr($name, strlen($namespace) + 1);
                $to = self::room($used, $order);
                // The line that names the namespace itself has no class behind it.
                if ($to !== $from && ($to === null || array_search($to, $order, true) > array_search($from, $order, true))) {
                    $breaches[] = "{$path}:{$token->line}: {$from} uses {$used}, which comes after it";
                }
            }
        }

        return $breaches;
    }

    /**
     * @param  array<string, string>  $files  code by path, such as "web/kit/KitPage.tsx"
     * @return list<string>
     */
    public static function web(array $files): array
    {
        $level = [];
        foreach (self::WEB as $i => $rooms) {
            $level += array_fill_keys($rooms, $i);
        }
        $breaches = [];
        foreach ($files as $path => $code) {
            $from = self::folder($path);
            if (! isset($level[$from])) {
                $breaches[] = "{$path}:1: lies in no room of web";

                continue;
            }
            foreach (explode("\n", $code) as $i => $line) {
                if (preg_match('~(?:from |import\(|import )[\'"](\.[^\'"]+)[\'"]~', $line, $m) !== 1) {
                    continue;
                }
                $to = self::folder(self::joined(dirname($path), $m[1]));
                if ($to !== $from && ($level[$to] ?? PHP_INT_MAX) >= $level[$from]) {
                    $breaches[] = "{$path}:".($i + 1).": {$from} imports {$m[1]}, which is not before it";
                }
            }
        }

        return $breaches;
    }

    /** @param  list<string>  $order */
    private static function room(string $name, array $order): ?string
    {
        $path = str_replace('\\', '/', $name).'/';
        $found = array_filter($order, static fn (string $room): bool => str_starts_with($path, $room.'/'));
        usort($found, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));

        return $found[0] ?? null;
    }

    private static function folder(string $path): string
    {
        $parts = explode('/', $path);

        return count($parts) > 2 ? $parts[1] : '';
    }

    private static function joined(string $folder, string $relative): string
    {
        $parts = explode('/', $folder);
        foreach (explode('/', $relative) as $part) {
            if ($part === '..') {
                array_pop($parts);
            } elseif ($part !== '.') {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }
}

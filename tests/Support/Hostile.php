<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Requests of somebody who means no good, from a seed: the same seed asks the same. */
final class Hostile
{
    private const METHODS = ['GET', 'GET', 'GET', 'POST', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS', 'TRACE', 'PROPFIND', 'MOVE', 'BREW'];

    private const STRINGS = ['', 'x', "' or 1=1 --", '"><script>alert(1)</script>', '../../../../etc/passwd', '..%2f..%2fartisan', '%00', "\u{202E}txt", '{{7*7}}', '$(id)', '=1+1', "a\r\nSet-Cookie: x=1", '01T00000000000000000000001', '🛩', '1e309', '-1', 'NaN', 'php://input', 'file:///etc/passwd', '%FF%FE', '?', '#', '+', "\t=cmd", "\x7F", '١٢٣'];

    private const VALUES = [null, true, -1, 0, 1, 1e308, 9007199254740993, '', 'x', [], [[]], ['a' => 1], '2026-13-45T99:99:99Z', '#GGGGGG'];

    private const FIELDS = ['id', 'title', 'edits', 'op', 'list', 'field', 'value', 'text', 'whole', 'name', 'scale', 'kind', 'at', 'targets', 'product', 'order', 'parts', 'amount', 'known', 'cm2', 'paints', 'keep', 'family', 'hash', 'marks', 'm', 'minutes', 'from', 'mode', 'date', 'sessions', 'question', 'position', 'wanted', 'jars'];

    private readonly Randomizer $random;

    /**
     * @param  list<string>  $paths  of the product, with {…} for what is filled in
     * @param  list<string>  $ids  that are there
     */
    public function __construct(int $seed, private readonly array $paths, private readonly array $ids)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{string, string, string|null, list<string>} method, path, body, headers */
    public function next(): array
    {
        $method = $this->one(self::METHODS);
        $path = $this->path();
        $body = in_array($method, ['GET', 'HEAD', 'OPTIONS', 'TRACE'], true) && ! $this->chance(10) ? null : $this->body();
        $headers = ['Content-Type: '.$this->one(['application/json', 'application/json', 'application/json', 'text/plain', 'application/zip', 'image/png', 'multipart/form-data; boundary=x', ''])];
        if ($this->chance(4)) {
            $headers[] = 'If-Match: '.str_replace(["\r", "\n"], '', (string) $this->one(['"0"', '"1"', '*', 'x', '"99999999999"']));
        }
        if ($this->chance(25)) {
            $headers[] = 'Host: '.$this->one(['evil.example', '127.0.0.1', 'localhost:1', '[::1]']);
        }
        if ($this->chance(12)) {
            $headers[] = 'Accept-Encoding: '.$this->one(['gzip;q=0', 'deflate', 'br', '*', '', ';;;q=x']);
        }

        return [$method, $path, $body, $headers];
    }

    private function path(): string
    {
        if ($this->chance(8)) {
            return '/'.implode('/', array_map(fn (): string => rawurlencode((string) $this->one(self::STRINGS)), range(1, $this->random->getInt(1, 4))));
        }
        $path = preg_replace_callback('/\{\w+\}/', fn (): string => $this->chance(3) ? rawurlencode((string) $this->one(self::STRINGS)) : (string) $this->one($this->ids), (string) $this->one($this->paths));
        $query = $this->chance(3) ? '?'.implode('&', array_map(fn (): string => $this->one(self::FIELDS).$this->one(['', '[]', '[a]', '[a][b]']).'='.rawurlencode((string) $this->one(self::STRINGS)), range(1, $this->random->getInt(1, 5)))) : '';

        return $path.$query;
    }

    private function body(): string
    {
        $body = match ($this->random->getInt(1, 9)) {
            1 => (string) $this->one(self::STRINGS),
            2 => str_repeat('[', $this->random->getInt(1, 3000)),
            3 => 'PK'.$this->random->getBytes($this->random->getInt(1, 400)),
            4 => $this->random->getBytes($this->random->getInt(1, 400)),
            5 => (string) json_encode(['text' => $this->text(), 'whole' => $this->chance(2), 'plan' => $this->chance(2)], JSON_INVALID_UTF8_SUBSTITUTE),
            default => (string) json_encode($this->thing(0), JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR),
        };

        return $this->chance(12) ? substr($body, 0, $this->random->getInt(0, strlen($body))) : $body;
    }

    /** Lines as of a kit, for the most part. */
    private function text(): string
    {
        $words = ['hull', 'wing', '/', ',', '84', 'M', 'sea grey', 'soft 240 to', 'hard', ':', '+', 'seam', 'pane', 'on', 'preshade', '"', '~2', 'part', 'piece', 'joint', 'colour', '=', 'inside', ...self::STRINGS];

        return implode("\n", array_map(fn (): string => implode(' ', array_map(fn (): string => (string) $this->one($words), range(1, $this->random->getInt(1, 12)))), range(1, $this->random->getInt(1, 40))));
    }

    /** @return array<string, mixed> */
    private function thing(int $deep): array
    {
        $thing = [];
        for ($i = $this->random->getInt(1, 6); $i > 0; $i--) {
            $thing[(string) $this->one(self::FIELDS)] = match (true) {
                $deep < 3 && $this->chance(3) => $this->chance(2) ? $this->thing($deep + 1) : [$this->thing($deep + 1), $this->thing($deep + 1)],
                $this->chance(2) => $this->one([...self::STRINGS, ...$this->ids]),
                default => $this->one(self::VALUES),
            };
        }

        return $thing;
    }

    /** One in so many. */
    private function chance(int $in): bool
    {
        return $this->random->getInt(1, $in) === 1;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}

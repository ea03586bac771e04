<?php

declare(strict_types=1);

namespace App\Answers;

use App\Http\Presenters\Time;
use RuntimeException;

/**
 * A JSON object, compressed once and kept without its last brace, so that the server's now can be put in each time it
 * goes out: a deflated stream may go on after a flush, and its check sum can be carried on from where it stood.
 */
final readonly class Packed
{
    private const ADLER_BASE = 65521;

    private function __construct(private string $stream, private int $length, private int $sum)
    {
    }

    /** @param  array<string, mixed>  $data  with at least one field */
    public static function of(array $data): self
    {
        $json = substr(json_encode($data, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), 0, -1);
        $deflate = deflate_init(ZLIB_ENCODING_RAW, ['level' => 1]);
        $stream = $deflate === false ? false : deflate_add($deflate, $json, ZLIB_SYNC_FLUSH);

        return $stream === false ? throw new RuntimeException('An answer could not be compressed.') : new self($stream, strlen($json), (int) hexdec(hash('adler32', $json)));
    }

    public static function fromBytes(string $bytes): ?self
    {
        $head = strlen($bytes) > 8 ? unpack('Nlength/Nsum', $bytes) : false;

        return is_array($head) && is_int($head['length']) && is_int($head['sum']) ? new self(substr($bytes, 8), $head['length'], $head['sum']) : null;
    }

    public function bytes(): string
    {
        return pack('NN', $this->length, $this->sum).$this->stream;
    }

    /** The same as long as nothing but the time of day has changed. */
    public function mark(): string
    {
        return dechex($this->sum).'-'.dechex($this->length);
    }

    /** As it goes out in the encoding that HTTP calls deflate. */
    public function deflated(int $nowEpoch): string
    {
        $end = self::end($nowEpoch);
        $sum = self::joined($this->sum, (int) hexdec(hash('adler32', $end)), strlen($end));

        // A last block that is stored as it is: one byte, its length, the length again with all bits turned, the bytes.
        return "\x78\x9c".$this->stream."\x01".pack('vv', strlen($end), ~strlen($end) & 0xFFFF).$end.pack('N', $sum);
    }

    public function plain(int $nowEpoch): string
    {
        return substr($this->json(), 0, -1).self::end($nowEpoch);
    }

    /** @return array<string, mixed> */
    public function data(): array
    {
        $data = json_decode($this->json(), true, 512, JSON_THROW_ON_ERROR);

        return is_array($data) ? $data : [];
    }

    private function json(): string
    {
        $json = @gzinflate($this->stream."\x01".pack('vv', 1, ~1 & 0xFFFF).'}');

        return $json === false ? throw new RuntimeException('A kept answer is damaged.') : $json;
    }

    private static function end(int $nowEpoch): string
    {
        return ',"now":"'.Time::utc($nowEpoch).'"}';
    }

    /** Adler-32 of two texts one after the other, from that of each (RFC 1950). */
    private static function joined(int $first, int $second, int $secondLength): int
    {
        [$a, $b] = [$first & 0xFFFF, $first >> 16];
        [$c, $d] = [$second & 0xFFFF, $second >> 16];
        $low = ($a + $c - 1 + self::ADLER_BASE) % self::ADLER_BASE;
        $high = ($b + $d + $secondLength * ($a - 1 + self::ADLER_BASE)) % self::ADLER_BASE;

        return ($high << 16) | $low;
    }
}

<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\Reading;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Photo;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Material\Product;

/** A build in a file of its own (docs/format/build-6.schema.json). Canonical: the same build gives the same bytes. */
final readonly class BuildFile
{
    public const FORMAT = 6;

    /**
     * @param  list<Product>  $products
     * @param  list<Event>  $events
     * @param  list<Reading>  $readings
     * @param  bool  $changed  its digest says that something in it was changed since it was written
     */
    public function __construct(public string $id, public Kit $kit, public array $products, public array $events, public array $readings = [], public bool $changed = false)
    {
    }

    /** @throws BadDocument with every problem found */
    public static function parse(string $json): self
    {
        $data = json_decode($json, true, 32);
        if (! is_array($data)) {
            throw BadDocument::at('', 'is not JSON ('.json_last_error_msg().')', 'give a build file as this product writes it');
        }

        return self::fromArray($data);
    }

    /** @throws BadDocument */
    public static function fromArray(mixed $data): self
    {
        $problems = new Problems;
        $in = Reader::of($data, '', $problems);
        $format = $in->raw('format');
        if (! is_int($format) || $format < 1) {
            throw BadDocument::at('format', 'is missing', 'a build file begins with "format": '.self::FORMAT);
        }
        if ($format > self::FORMAT) {
            throw BadDocument::at('format', "is {$format}, which is newer than this product reads", 'use one up to '.self::FORMAT.', or a newer version of the product');
        }
        $in = Reader::of(Lift::toCurrent($format, is_array($data) ? $data : []), '', $problems);
        $in->raw('format');
        $id = $in->id('id');
        $products = $in->each('products', Product::read(...));
        $events = $in->each('events', Event::read(...), 20000);
        $readings = $in->each('readings', static function (Reader $r): Reading {
            $reading = new Reading($r->instant('at'), new Conditions($r->number('temperatureC', -30, 80), $r->number('humidity', 0, 1)));
            $r->refuseTheRest();

            return $reading;
        }, 20000);
        $kitData = $in->raw('kit');
        $digest = $in->optionalText('digest', 64);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $file = new self($id, Kit::fromArray($kitData), $products, $events, $readings);

        return $digest === null || $digest === $file->digest() ? $file : new self($id, $file->kit, $products, $events, $readings, true);
    }

    /**
     * With photographs that have other names here.
     *
     * @param  array<string, string>  $names  new hashes by old ones
     */
    public function renamed(array $names): self
    {
        if ($names === []) {
            return $this;
        }
        $kit = $this->kit->toArray();
        $kit['photos'] = array_map(static fn (Photo $p): array => ['hash' => $names[$p->hash] ?? $p->hash] + $p->toArray(), $this->kit->photos);

        return new self($this->id, Kit::fromArray($kit), $this->products, $this->events, $this->readings, $this->changed);
    }

    public function toJson(): string
    {
        return self::json([...$this->toArray(), 'digest' => $this->digest()], JSON_PRETTY_PRINT)."\n";
    }

    /** Of all that is in it: as long as nobody changed a thing, it is the same, however the file is laid out. */
    public function digest(): string
    {
        return hash('sha256', self::json($this->toArray(), 0));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $kit = $this->kit->toArray();
        $kit['house'] = (object) $this->kit->house->positions;
        $events = $this->events;
        usort($events, Event::inOrder(...));

        return [
            'format' => self::FORMAT,
            'id' => $this->id,
            'kit' => $kit,
            'products' => array_map(static fn (Product $p): array => $p->toArray(), $this->products),
            'events' => array_map(static fn (Event $e): array => $e->toArray(), $events),
            'readings' => array_map(static fn (Reading $r): array => ['at' => \AmberStep\Core\Document\Instant::format($r->atEpoch), 'temperatureC' => $r->air->temperatureC, 'humidity' => $r->air->humidity], $this->readings),
        ];
    }

    /** @param  array<string, mixed>  $data */
    private static function json(array $data, int $flags): string
    {
        return json_encode($data, $flags | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
    }
}

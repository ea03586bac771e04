<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Lines\Draft;
use AmberStep\Core\Lines\Ref;
use Closure;

/** Makes parts and areas of what the booklet calls out, so that the plan knows them. */
final readonly class BringIn
{
    public function __construct(private Draft $draft)
    {
    }

    /**
     * @param  list<Callout>  $callouts
     * @param  Closure(): string  $newId
     * @return list<Edit>
     */
    public static function edits(Kit $kit, array $callouts, Closure $newId): array
    {
        $draft = new Draft($kit, $newId);
        $bring = new self($draft);
        foreach ($callouts as $callout) {
            $bring->callout($callout);
        }

        return KitDiff::edits($kit, $draft->kit());
    }

    /**
     * @param  list<Callout>  $callouts
     * @return list<Edit> with ids that rest on the call-outs, so that a fix made twice is one
     */
    public static function asFix(Kit $kit, array $callouts): array
    {
        $n = 0;
        $mark = implode(',', array_map(static fn (Callout $c): string => $c->id, $callouts));

        return self::edits($kit, $callouts, static function () use (&$n, $mark): string {
            return \AmberStep\Core\Document\Id::from('bring-in', $mark, (string) ++$n);
        });
    }

    /** @return list<string> ids of the areas it stands for; none for what stays bare */
    public function callout(Callout $callout): array
    {
        $part = $this->partOf($callout);
        if ($callout->clear) {
            return $this->area($part, $callout, 'panes', Face::Pane);
        }
        if ($callout->colour === null) {
            return [];
        }
        $face = in_array(PaintedFace::Inside, $callout->faces, true) ? Face::Inside : Face::Outside;

        return $this->area($part, $callout, $this->areaName($callout, $part), $face);
    }

    public function partOf(Callout $callout): string
    {
        return $this->numbered($callout->number) ?? $this->part($callout->number, $callout, $callout->step);
    }

    public function numbered(string $number): ?string
    {
        foreach ($this->draft->all('parts') as $part) {
            if (is_string($part['number'] ?? null) && strcasecmp($part['number'], $number) === 0 && is_string($part['id'])) {
                return $part['id'];
            }
        }

        return null;
    }

    public function part(string $number, ?Callout $callout, ?int $step): string
    {
        for ($nth = 1; ; $nth++) {
            $ref = new Ref($callout->name ?? $number, $nth);
            $same = $this->draft->find('parts', $ref);
            if ($same === null) {
                return $this->draft->findOrMake('parts', $ref, ['substrate' => $callout?->clear === true ? 'clear-styrene' : 'styrene', 'number' => $number, 'bookletStep' => $step, 'count' => $callout->count ?? 1, 'letsLight' => $callout->letsLight ?? false, 'option' => $callout?->option]);
            }
            // A part typed in before without its number is the one the booklet means.
            if ($callout?->name !== null && $this->draft->get('parts', $same, 'number') === null) {
                $this->draft->set('parts', $same, 'number', $number);

                return $same;
            }
        }
    }

    /** @return list<string> */
    private function area(string $part, Callout $callout, string $name, Face $face): array
    {
        $same = [];
        foreach ($this->draft->all('areas') as $area) {
            $intent = is_array($area['intent'] ?? null) ? $area['intent'] : [];
            $paints = in_array($callout->colour, [$intent['colour'] ?? null, $intent['insideColour'] ?? null], true);
            if ($area['part'] === $part && is_string($area['id']) && ($callout->clear ? ($area['face'] ?? '') === Face::Pane->value : $paints)) {
                $same[] = $area['id'];
            }
        }
        if ($same !== []) {
            return $same;
        }
        $intent = (new Intent)->toArray();

        return [$this->draft->findOrMake('areas', new Ref($name), [
            'part' => $part, 'face' => $face->value, 'size' => $callout->size->value, 'cm2' => $callout->cm2() === $callout->size->cm2() ? null : $callout->cm2(),
            'intent' => $callout->clear ? $intent : [...$intent, 'colour' => $callout->colour, 'sheen' => $face === Face::Outside ? $this->sheenOf((string) $callout->colour) : null],
        ], $part)];
    }

    /** A part of a colour gets the sheen its other outsides have. */
    private function sheenOf(string $colour): ?string
    {
        foreach ($this->draft->all('areas') as $area) {
            $intent = is_array($area['intent'] ?? null) ? $area['intent'] : [];
            if (($intent['colour'] ?? null) === $colour && is_string($intent['sheen'] ?? null) && ($area['face'] ?? '') === Face::Outside->value) {
                return $intent['sheen'];
            }
        }

        return null;
    }

    /** The part and its faces; the colour too where that name is another area's. */
    private function areaName(Callout $callout, string $part): string
    {
        $words = [$this->draft->get('parts', $part, 'name'), ...array_map(static fn (PaintedFace $f): string => $f->value, $callout->faces)];
        $name = implode(' ', array_filter($words, is_string(...)));
        $colour = $this->draft->get('colours', (string) $callout->colour, 'name');

        return $this->draft->find('areas', new Ref($name), $part) === null ? $name : mb_substr($name.', '.(is_string($colour) ? $colour : 'paint'), 0, 120);
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Material\Shelf;
use Closure;

/** Takes one line after the other into a draft: its head makes or finds a thing, its phrases fill it. */
final readonly class LineTaker
{
    private ColourFinder $colours;

    private AreaWords $areaWords;

    private TwoReadings $twoReadings;

    private PartWords $partWords;

    private JointWords $jointWords;

    private Phrases $phrases;

    public function __construct(private Draft $draft, Shelf $shelf)
    {
        $areas = new AreaFinder($draft);
        $this->colours = new ColourFinder($shelf, $draft);
        $this->areaWords = new AreaWords($draft, $this->colours, $areas);
        $this->twoReadings = new TwoReadings($this->colours);
        $this->partWords = new PartWords($draft);
        $this->jointWords = new JointWords($draft, $areas);
        $this->phrases = new Phrases($draft);
    }

    /** @return (Closure(): void)|null reads the phrases, once all lines have their names; null where there are none */
    public function open(ReadLine $line): ?Closure
    {
        $phrases = LineSplitter::phrases($line->text);
        $head = array_shift($phrases);
        if ($head === null) {
            return null;
        }
        if (str_starts_with($head->text, '#')) {
            $line->about = 'note';

            return null;
        }
        try {
            return match (true) {
                $head->behind('colour') !== null => (new ColourLine($this->draft, $this->colours, $this->areaWords, $this->phrases))->open($line, $head->behind('colour'), $phrases),
                $head->behind('piece') !== null => (new PieceLine($this->draft, $this->phrases))->open($line, $head->behind('piece'), $phrases),
                $head->behind('part') !== null => $this->part($line, $head->behind('part'), $phrases),
                LineSplitter::cut($head, '+') !== null => $this->joint($line, $head->behind('joint') ?? $head, $phrases),
                LineSplitter::cut($head, '/') !== null => $this->area($line, $head, $phrases),
                $head->behind('joint') !== null => throw new NotRead('a joint is of two parts', 'write joint wing root: hull + wing'),
                default => $this->plain($line, $head, $phrases),
            };
        } catch (NotRead $not) {
            $line->problems[] = new LineProblem($head->start, $head->length, $not->wrong, $not->right);

            return null;
        }
    }

    /**
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    private function part(ReadLine $line, Phrase $name, array $phrases): Closure
    {
        $id = $this->makePart(Ref::read($name, 'a part'));
        $this->phrases->head($line, 'part', 'part '.$name->text, $id);

        return fn () => $this->phrases->each($line, $phrases, fn (Phrase $p): ?string => $this->partWords->read($p, $id), array_keys(Vocabulary::part()), 'what it is made of, no B4, step 12, moulded grey, fragile');
    }

    /**
     * "part / area", with phrases about either.
     *
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    private function area(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        [$partName, $areaName] = LineSplitter::cut($head, '/') ?? [$head, $head];
        $part = $this->makePart(Ref::read($partName, 'a part'));
        $ref = Ref::read($areaName, 'an area');
        $id = $this->draft->findOrMake('areas', $ref, ['part' => $part, 'intent' => (new Intent)->toArray()], $part);
        $this->phrases->head($line, 'area', "{$ref->name} on {$partName->text}", $id);

        return fn () => $this->fillArea($line, $phrases, $id, $part);
    }

    /**
     * A name alone: a part, and the area that is all of it where a phrase speaks of one.
     *
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    private function plain(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        $ref = Ref::read($head, 'a part');
        if (Vocabulary::isTaken($head->text)) {
            throw new NotRead("a line begins with a name, and \"{$head->text}\" is a word of its own", 'begin with the part and the area, such as hull / upper A, 84, sea grey');
        }
        if ($phrases === []) {
            throw new NotRead("\"{$head->text}\" says nothing but a name", 'add a size and a colour, such as '.$head->text.', M, sea grey');
        }
        $part = $this->makePart($ref);
        $ofPart = Vocabulary::part();
        $aboutPart = array_filter($phrases, fn (Phrase $p): bool => isset($ofPart[$p->word()]) || $this->partWords->isInside($p) || ($p->behind('no', 'slot', 'hand', 'step', 'moulded', 'option') !== null || preg_match('/\A[x×]\s?\d/iu', $p->text) === 1) && ! isset(Vocabulary::area()[$p->word()]));
        if (count($aboutPart) === count($phrases)) {
            $this->phrases->head($line, 'part', 'part '.$head->text, $part);

            return fn () => $this->phrases->each($line, $phrases, fn (Phrase $p): ?string => $this->partWords->read($p, $part), array_keys($ofPart), 'what it is made of');
        }
        $id = $this->draft->findOrMake('areas', new Ref($ref->name), ['part' => $part, 'intent' => (new Intent)->toArray()], $part);
        $this->phrases->head($line, 'area', "all of {$head->text}", $id);

        return fn () => $this->fillArea($line, $phrases, $id, $part);
    }

    /**
     * "name: part + part".
     *
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    private function joint(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        $named = LineSplitter::cut($head, ':');
        [$first, $second] = LineSplitter::cut($named[1] ?? $head, '+') ?? throw new NotRead('a joint is of two parts', 'write wing root: hull + wing');
        if (LineSplitter::cut($second, '+') !== null) {
            throw new NotRead('a joint is of two parts, not three', 'write a line for each joint');
        }
        $parts = [$this->makePart(Ref::read($first, 'a part')), $this->makePart(Ref::read($second, 'a part'))];
        if ($parts[0] === $parts[1]) {
            throw new NotRead('a part has no joint with itself', 'name the other part');
        }
        $ref = $named === null ? new Ref($this->nameOf($parts[0]).' to '.$this->nameOf($parts[1])) : Ref::read($named[0], 'a joint');
        $id = $this->draft->findOrMake('joints', $ref, ['parts' => $parts]);
        $this->draft->set('joints', $id, 'parts', $parts);
        $this->draft->set('joints', $id, 'blocks', []);
        $this->phrases->head($line, 'joint', "joint {$ref->name}", $id);

        return fn () => $this->phrases->each($line, $phrases, fn (Phrase $p): ?string => $this->jointWords->read($p, $id), array_keys(Vocabulary::joint()), 'seam, before paint, thin cement, gap 0.3 mm, 18 cm long, blocks hull / cockpit');
    }

    /** @param  list<Phrase>  $phrases */
    private function fillArea(ReadLine $line, array $phrases, string $area, string $part): void
    {
        $known = [...array_keys(Vocabulary::area()), ...array_keys(Vocabulary::part()), ...$this->colours->names()];
        $first = null;
        $read = function (Phrase $p) use ($area, $part, &$first): ?string {
            $means = $this->areaWords->read($p, $area, $part) ?? $this->partWords->read($p, $part);
            if ($means !== null) {
                return $means;
            }
            $means = $this->areaWords->colour($p, $area);
            $other = $means === null ? $this->twoReadings->of($p, Draft::text($this->draft->get('areas', $area, 'name'))) : ($first === null ? null : $this->twoReadings->second($p, $first));
            if ($other !== null) {
                throw $other;
            }
            $first = $p->text;

            return $means;
        };
        $this->phrases->each($line, $phrases, $read, $known, 'a size (84 or M), a colour, what it is made of (brass, resin, soft vinyl), decals, pin wash, matt, soft 240 mm to another area; a paint that is not on the shelf is added first');
        if ($this->draft->get('areas', $area, 'face') === 'pane' && ! $this->draft->isSettled('parts', $part, 'substrate')) {
            $this->draft->set('parts', $part, 'substrate', 'clear-styrene');
        }
        $intent = $this->draft->get('areas', $area, 'intent');
        $colour = is_array($intent) ? $intent['colour'] ?? null : null;
        if ($this->draft->get('areas', $area, 'face') === 'pane' && $colour !== null) {
            $line->problems[] = new LineProblem(0, mb_strlen($line->text), 'a pane has no colour', 'leave the colour out; the frame round it is an area of its own');
        }
        $line->swatch = is_string($colour) ? $this->colours->swatch($colour) : null;
    }

    private function makePart(Ref $ref): string
    {
        return $this->draft->findOrMake('parts', $ref, ['substrate' => 'styrene']);
    }

    private function nameOf(string $partId): string
    {
        $name = $this->draft->get('parts', $partId, 'name');

        return is_string($name) ? $name : '';
    }
}

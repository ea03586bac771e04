<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Material\Shelf;
use Closure;

/** Takes one line after the other into a draft: its head makes or finds a thing, its phrases fill it. */
final readonly class LineTaker
{
    private ColourFinder $colours;

    private AreaWords $areaWords;

    private PartWords $partWords;

    private JointWords $jointWords;

    public function __construct(private Draft $draft, Shelf $shelf)
    {
        $areas = new AreaFinder($draft);
        $this->colours = new ColourFinder($shelf, $draft);
        $this->areaWords = new AreaWords($draft, $this->colours, $areas);
        $this->partWords = new PartWords($draft);
        $this->jointWords = new JointWords($draft, $areas);
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
                $head->behind('colour') !== null => $this->colour($line, $head->behind('colour'), $phrases),
                $head->behind('piece') !== null => $this->piece($line, $head->behind('piece'), $phrases),
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
        $this->head($line, 'part', 'part '.$name->text, $id);

        return fn () => $this->each($line, $phrases, fn (Phrase $p): ?string => $this->partWords->read($p, $id), array_keys(Vocabulary::part()), 'what it is made of, no B4, step 12, moulded grey, fragile');
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
        $this->head($line, 'area', "{$ref->name} on {$partName->text}", $id);

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
        $aboutPart = array_filter($phrases, static fn (Phrase $p): bool => isset($ofPart[$p->word()]) || ($p->behind('no', 'slot', 'hand', 'step', 'moulded', 'option') !== null || preg_match('/\A[x×]\s?\d/iu', $p->text) === 1) && ! isset(Vocabulary::area()[$p->word()]));
        if (count($aboutPart) === count($phrases)) {
            $this->head($line, 'part', 'part '.$head->text, $part);

            return fn () => $this->each($line, $phrases, fn (Phrase $p): ?string => $this->partWords->read($p, $part), array_keys($ofPart), 'what it is made of');
        }
        $id = $this->draft->findOrMake('areas', new Ref($ref->name), ['part' => $part, 'intent' => (new Intent)->toArray()], $part);
        $this->head($line, 'area', "all of {$head->text}", $id);

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
        $this->head($line, 'joint', "joint {$ref->name}", $id);

        return fn () => $this->each($line, $phrases, fn (Phrase $p): ?string => $this->jointWords->read($p, $id), array_keys(Vocabulary::joint()), 'seam, before paint, thin cement, gap 0.3 mm, 18 cm long, blocks hull / cockpit');
    }

    /**
     * "piece part = Name, held by a peg".
     *
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    private function piece(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        $cut = LineSplitter::cut($head, '=');
        $name = $cut === null ? null : Ref::read($cut[1], 'a piece')->name;
        $partName = $cut[0] ?? $head;
        $ref = Ref::read($partName, 'a part');

        return function () use ($line, $name, $ref, $partName, $phrases): void {
            $part = $this->draft->find('parts', $ref);
            if ($part === null) {
                $line->problems[] = new LineProblem($partName->start, $partName->length, "there is no part \"{$ref->name}\"", 'a piece is called by its oldest part');

                return;
            }
            $this->draft->piece($part);
            if ($name !== null) {
                $this->draft->set('pieces', $part, 'name', $name);
            }
            $this->head($line, 'piece', 'piece '.($name ?? $ref->name), $part);
            $this->each($line, self::heldByLast($line, $phrases), function (Phrase $p) use ($part): ?string {
                $holder = Holder::tryFrom($p->behind('on a', 'on')?->word() ?? '');
                if ($holder !== null) {
                    $this->draft->set('pieces', $part, 'holder', $holder->value);

                    return "on a {$holder->word()}";
                }
                $held = $p->behind('held by');
                if ($held === null) {
                    return null;
                }
                $this->draft->set('pieces', $part, 'heldBy', str_starts_with($held->text, '"') ? Ref::read($held, 'a holder')->name : $held->text);

                return "held by {$held->text}";
            }, array_map(static fn (Holder $h): string => "on a {$h->value}", Holder::cases()), 'held by a peg in the nose, or on a peg');
        };
    }

    /**
     * What it is held by is told to the end of the line, commas and all.
     *
     * @param  list<Phrase>  $phrases
     * @return list<Phrase>
     */
    private static function heldByLast(ReadLine $line, array $phrases): array
    {
        foreach ($phrases as $i => $phrase) {
            if ($phrase->behind('held by') !== null) {
                $text = rtrim(mb_substr($line->text, $phrase->start));

                return [...array_slice($phrases, 0, $i), new Phrase($text, $phrase->start, mb_strlen($text))];
            }
        }

        return $phrases;
    }

    /**
     * "colour name = paint, must match".
     *
     * @param  list<Phrase>  $phrases
     * @return (Closure(): void)
     */
    private function colour(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        [$name, $paint] = LineSplitter::cut($head, '=') ?? [$head, $head];
        $product = $this->colours->product($paint) ?? throw new NotRead("no paint on the shelf is called \"{$paint->text}\"", $this->areaWords->near($paint->text));
        $ref = Ref::read($name, 'a colour');
        $id = $this->draft->findOrMake('colours', $ref, ['product' => $product->id, 'mustMatch' => false]);
        $this->draft->set('colours', $id, 'product', $product->id);
        $this->head($line, 'colour', "colour {$ref->name}, {$product->name}", $id);
        $line->swatch = $product->swatch;

        return fn () => $this->each($line, $phrases, function (Phrase $p) use ($id): ?string {
            $code = $p->behind('code');
            if ($code !== null) {
                $value = Ref::read($code, 'a code')->name;
                if (mb_strlen($value) > 12) {
                    throw new NotRead('a code has up to 12 characters', 'write it as the booklet prints it, such as code H8');
                }
                $this->draft->set('colours', $id, 'code', $value);

                return "the booklet's {$value}";
            }
            $match = ['must match' => true, 'need not match' => false][$p->word()] ?? null;
            if ($match !== null) {
                $this->draft->set('colours', $id, 'mustMatch', $match);
            }

            return $match === null ? null : ($match ? 'one spraying from one mix' : 'need not match');
        }, ['must match', 'need not match'], 'must match, code H8');
    }

    /** @param  list<Phrase>  $phrases */
    private function fillArea(ReadLine $line, array $phrases, string $area, string $part): void
    {
        $known = [...array_keys(Vocabulary::area()), ...array_keys(Vocabulary::part()), ...$this->colours->names()];
        $this->each($line, $phrases, fn (Phrase $p): ?string => $this->areaWords->read($p, $area, $part) ?? $this->partWords->read($p, $part) ?? $this->areaWords->colour($p, $area), $known, 'a size (84 or M), a colour, decals, pin wash, matt, soft 240 mm to another area; a paint that is not on the shelf is added first');
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

    /**
     * @param  list<Phrase>  $phrases
     * @param  callable(Phrase): (string|null)  $read
     * @param  list<string>  $known  words to guess from
     */
    private function each(ReadLine $line, array $phrases, callable $read, array $known, string $right): void
    {
        foreach ($phrases as $phrase) {
            try {
                $meaning = $read($phrase);
                if ($meaning === null) {
                    $nearest = Nearest::to($phrase->text, $known);
                    throw new NotRead("\"{$phrase->text}\" is not understood here", $nearest === null ? "what fits is {$right}" : "did you mean {$nearest}");
                }
                $line->phrases[] = new ReadPhrase($phrase->start, $phrase->length, $meaning);
            } catch (NotRead $not) {
                $line->problems[] = new LineProblem($phrase->start, $phrase->length, $not->wrong, $not->right);
            }
        }
    }

    private function makePart(Ref $ref): string
    {
        return $this->draft->findOrMake('parts', $ref, ['substrate' => 'styrene']);
    }

    private function head(ReadLine $line, string $about, string $title, string $id): void
    {
        $line->about = $about;
        $line->title = $title;
        $line->isNew = $this->draft->isMade($id);
    }

    private function nameOf(string $partId): string
    {
        $name = $this->draft->get('parts', $partId, 'name');

        return is_string($name) ? $name : '';
    }
}

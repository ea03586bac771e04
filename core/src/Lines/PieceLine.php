<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Kit\Holder;
use Closure;

/** Reads "piece part = Name, held by a peg". */
final readonly class PieceLine
{
    public function __construct(private Draft $draft, private Phrases $phrases)
    {
    }

    /**
     * @param  list<Phrase>  $phrases
     * @return Closure(): void
     */
    public function open(ReadLine $line, Phrase $head, array $phrases): Closure
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
            $this->phrases->head($line, 'piece', 'piece '.($name ?? $ref->name), $part);
            $this->phrases->each($line, self::heldByLast($line, $phrases), function (Phrase $p) use ($part): ?string {
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
}

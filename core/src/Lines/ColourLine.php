<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use Closure;

/** Reads "colour name = paint, must match". */
final readonly class ColourLine
{
    public function __construct(private Draft $draft, private ColourFinder $colours, private AreaWords $areaWords, private Phrases $phrases)
    {
    }

    /**
     * @param  list<Phrase>  $phrases
     * @return (Closure(): void)
     */
    public function open(ReadLine $line, Phrase $head, array $phrases): Closure
    {
        [$name, $paint] = LineSplitter::cut($head, '=') ?? [$head, $head];
        $product = $this->colours->product($paint) ?? throw new NotRead("no paint on the shelf is called \"{$paint->text}\"", $this->areaWords->near($paint->text));
        $ref = Ref::read($name, 'a colour');
        $id = $this->draft->findOrMake('colours', $ref, ['product' => $product->id, 'mustMatch' => false]);
        $this->draft->set('colours', $id, 'product', $product->id);
        $this->phrases->head($line, 'colour', "colour {$ref->name}, {$product->name}", $id);
        $line->swatch = $product->swatch;

        return fn () => $this->phrases->each($line, $phrases, function (Phrase $p) use ($id): ?string {
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
}

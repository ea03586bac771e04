<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;

/** What the phrases of a line are read as, and what of them is not. */
final readonly class Phrases
{
    /** Problems said of one line: it is left out as a whole, and nobody reads more. */
    private const MOST = 12;

    public function __construct(private Draft $draft)
    {
    }

    /**
     * @param  list<Phrase>  $phrases
     * @param  callable(Phrase): (string|null)  $read
     * @param  list<string>  $known  words to guess from
     */
    public function each(ReadLine $line, array $phrases, callable $read, array $known, string $right): void
    {
        foreach ($phrases as $phrase) {
            if (count($line->problems) >= self::MOST) {
                return;
            }
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

    /** What the line is about, by its first words. */
    public function head(ReadLine $line, string $about, string $title, string $id): void
    {
        $line->about = $about;
        $line->title = $title;
        $line->isNew = $this->draft->isMade($id);
    }
}

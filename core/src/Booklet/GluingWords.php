<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Lines\AreaFinder;
use AmberStep\Core\Lines\JointWords;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\LineSplitter;
use AmberStep\Core\Lines\Phrase;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Lines\ReadPhrase;
use AmberStep\Core\Lines\Ref;
use AmberStep\Core\Lines\Vocabulary;

/** Reads what is glued at a step: "4: A1 + A2, seam, closes over A3". */
final readonly class GluingWords
{
    private JointWords $words;

    private BringIn $bringIn;

    public function __construct(private BookletDraft $draft)
    {
        $this->words = new JointWords($draft->kit, new AreaFinder($draft->kit));
        $this->bringIn = new BringIn($draft->kit);
    }

    /** @throws NotRead */
    public function take(ReadLine $line, Phrase $phrase): void
    {
        $phrases = LineSplitter::phrases($phrase->text);
        $head = array_shift($phrases) ?? $phrase;
        [$first, $second] = LineSplitter::cut($head, '+') ?? throw new NotRead('a gluing is of two parts', 'write 4: A1 + A2');
        if ($this->draft->step === null) {
            throw new NotRead('no step was named yet', 'begin with the step of the booklet, such as 4: '.$phrase->text);
        }
        $parts = [$this->part($first), $this->part($second)];
        if ($parts[0] === $parts[1]) {
            throw new NotRead('a part has no joint with itself', 'name the other part');
        }
        $id = $this->joint($parts);
        $this->draft->kit->set('joints', $id, 'step', $this->draft->step);
        $line->about = 'gluing';
        $line->title = "step {$this->draft->step}: {$this->nameOf($parts[0])} to {$this->nameOf($parts[1])}";
        $line->phrases[] = new ReadPhrase($phrase->start, $head->length, $line->title);
        foreach ($phrases as $each) {
            $placed = new Phrase($each->text, $phrase->start + $each->start, $each->length);
            try {
                $line->phrases[] = new ReadPhrase($placed->start, $placed->length, $this->words->read($placed, $id) ?? $this->closesOver($placed, $id) ?? throw new NotRead("\"{$each->text}\" is not understood of a gluing", $this->near($each->text)));
            } catch (NotRead $not) {
                $line->problems[] = new LineProblem($placed->start, $placed->length, $not->wrong, $not->right);
            }
        }
    }

    /** "closes over A3 A4": what these call-outs paint cannot be reached any more. */
    private function closesOver(Phrase $phrase, string $joint): ?string
    {
        $rest = $phrase->behind('closes over', 'over');
        if ($rest === null) {
            return null;
        }
        $blocks = $this->draft->kit->get('joints', $joint, 'blocks');
        $blocks = is_array($blocks) ? array_filter($blocks, is_string(...)) : [];
        $numbers = array_merge(...array_map(static fn (Phrase $t): array => Token::numbers($t->text), Token::all($rest)));
        if ($numbers === []) {
            throw new NotRead("\"{$rest->text}\" names no part", 'write the numbers it closes over, such as closes over A3');
        }
        foreach ($numbers as $number) {
            $callouts = array_filter($this->draft->calloutsOf($number), static fn ($c): bool => $c->colour !== null);
            if ($callouts === []) {
                throw new NotRead("nothing was called out on {$number} yet", 'call its colour out first, on a line above');
            }
            foreach ($callouts as $callout) {
                array_push($blocks, ...$this->bringIn->callout($callout));
            }
        }
        $this->draft->kit->set('joints', $joint, 'blocks', array_values(array_unique($blocks)));

        return 'closes over '.implode(', ', $numbers);
    }

    /** @throws NotRead */
    private function part(Phrase $phrase): string
    {
        $numbers = Token::numbers($phrase->text);
        if (count($numbers) === 1) {
            $known = $this->bringIn->numbered($numbers[0]);
            if ($known !== null) {
                return $known;
            }
            $callouts = $this->draft->calloutsOf($numbers[0]);

            return $callouts === [] ? $this->bringIn->part($numbers[0], null, $this->draft->step) : $this->bringIn->partOf($callouts[0]);
        }

        return $this->draft->kit->find('parts', Ref::read($phrase, 'a part')) ?? throw new NotRead("there is no part \"{$phrase->text}\"", 'give the number of the part, such as A1 + A2');
    }

    /** @param  array{string, string}  $parts */
    private function joint(array $parts): string
    {
        foreach ($this->draft->kit->all('joints') as $joint) {
            $of = $joint['parts'];
            if (is_array($of) && array_diff(array_filter($of, is_string(...)), $parts) === [] && is_string($joint['id'])) {
                return $joint['id'];
            }
        }
        // A second joint of one name is told apart by its number, as in lines.
        for ($nth = 1; ; $nth++) {
            $ref = new Ref("{$this->nameOf($parts[0])} to {$this->nameOf($parts[1])}", $nth);
            if ($this->draft->kit->find('joints', $ref) === null) {
                return $this->draft->kit->findOrMake('joints', $ref, ['parts' => $parts]);
            }
        }
    }

    private function nameOf(string $part): string
    {
        $name = $this->draft->kit->get('parts', $part, 'name');

        return is_string($name) ? $name : '';
    }

    private function near(string $word): string
    {
        $nearest = Nearest::to($word, array_keys(Vocabulary::joint()));

        return $nearest === null ? 'what fits is seam, a glue, carries load, no pins, closes over A3' : "did you mean {$nearest}";
    }
}

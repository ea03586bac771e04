<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;

/** An area another line or phrase is about: on the same part, by "part / area", or by a name only one has. */
final readonly class AreaFinder
{
    public function __construct(private Draft $draft)
    {
    }

    /** @throws NotRead where there is none, or more than one */
    public function find(Phrase $phrase, ?string $partId): string
    {
        $cut = LineSplitter::cut($phrase, '/');
        if ($cut !== null) {
            $part = $this->draft->find('parts', Ref::read($cut[0], 'a part')) ?? throw new NotRead("there is no part \"{$cut[0]->text}\"", $this->near($cut[0]->text, $this->draft->names('parts'), 'name a part of this kit'));

            return $this->draft->find('areas', Ref::read($cut[1], 'an area'), $part) ?? throw new NotRead("there is no area \"{$cut[1]->text}\" on {$cut[0]->text}", 'enter it on a line of its own first');
        }
        $ref = Ref::read($phrase, 'an area');
        $own = $partId === null ? null : $this->draft->find('areas', $ref, $partId);
        if ($own !== null) {
            return $own;
        }
        $called = $this->draft->areasCalled($ref->name);
        if (count($called) > 1) {
            throw new NotRead("\"{$ref->name}\" is the name of ".count($called).' areas', "say on which part, such as hull / {$ref->name}");
        }

        return $called[0] ?? throw new NotRead("there is no area \"{$ref->name}\"", $this->near($ref->name, $this->draft->names('areas'), 'enter it on a line of its own'));
    }

    /** @param  list<string>  $names */
    private function near(string $word, array $names, string $otherwise): string
    {
        $nearest = Nearest::to($word, $names);

        return $nearest === null ? $otherwise : "did you mean {$nearest}";
    }
}

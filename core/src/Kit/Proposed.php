<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** That a part, a joint or an area stands as it was proposed: changed in anything, it is the user's own. */
final readonly class Proposed
{
    /**
     * @param  string  $of  part, joint or area
     * @param  string  $as  mark of what was proposed
     * @param  string  $sum  how an area was worked out; empty: it is none
     */
    public function __construct(public string $id, public string $of, public string $as, public string $sum = '')
    {
    }

    public static function read(Reader $in): self
    {
        $proposed = new self($in->id('id'), $in->id('of'), $in->text('as', 16), $in->optionalText('sum', 200) ?? '');
        $in->refuseTheRest();

        return $proposed;
    }

    /** @param  array<string, mixed>  $thing  as the kit's document has it; where it stands in its list makes no odds */
    public static function mark(array $thing): string
    {
        return substr(hash('sha256', (string) json_encode(array_diff_key($thing, ['position' => 0]))), 0, 12);
    }

    public function stands(Kit $kit): bool
    {
        $thing = $kit->partsById[$this->of] ?? $kit->jointsById[$this->of] ?? $kit->areasById[$this->of] ?? null;

        return $thing !== null && self::mark($thing->toArray()) === $this->as;
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'of' => $this->of, 'as' => $this->as, 'sum' => $this->sum];
    }
}

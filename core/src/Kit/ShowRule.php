<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Reader;

/** One rule of the show this build is made for. */
final readonly class ShowRule
{
    public function __construct(public string $id, public ShowDemand $demand)
    {
    }

    public static function read(Reader $in): self
    {
        $rule = new self($in->id('id'), $in->oneOf('demand', ShowDemand::class, ShowDemand::NoBase));
        $in->refuseTheRest();

        return $rule;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'demand' => $this->demand->value];
    }

    /**
     * A kit with what a show it is entered for asks or forbids, besides its own rules.
     *
     * @param  list<string>  $demands
     */
    public static function askedOf(Kit $kit, array $demands): Kit
    {
        $more = [];
        foreach (ShowDemand::cases() as $demand) {
            if (in_array($demand->value, $demands, true) && ! $kit->demands($demand)) {
                $more[] = Edit::add('showRules', (new self(Id::from('show', $demand->value), $demand))->toArray());
            }
        }

        return $more === [] ? $kit : $kit->apply($more);
    }
}

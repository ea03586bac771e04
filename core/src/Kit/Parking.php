<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What of a kit is not built: the alternatives not chosen, and what the show does not allow. */
final readonly class Parking
{
    /** @var array<string, string> why, by part or call-out id */
    public array $why;

    public function __construct(Kit $kit)
    {
        $why = [];
        foreach ($kit->parts as $part) {
            $reason = self::notChosen($kit, $part->option) ?? self::notAllowed($kit, $part->origin);
            if ($reason !== null) {
                $why[$part->id] = $reason;
            }
        }
        foreach ($kit->callouts as $callout) {
            $part = $kit->numbered($callout->number);
            $reason = self::notChosen($kit, $callout->option) ?? ($part === null ? null : $why[$part->id] ?? null);
            if ($reason !== null) {
                $why[$callout->id] = $reason;
            }
        }
        $this->why = $why;
    }

    /** The kit that is built: without what is parked, and without what speaks of it. */
    public static function active(Kit $kit): Kit
    {
        $parked = (new self($kit))->why;
        if ($parked === []) {
            return $kit;
        }
        $document = $kit->toArray();
        foreach (['parts', 'callouts'] as $list) {
            /** @var list<array{id: string}> $things */
            $things = $document[$list];
            $document[$list] = array_values(array_filter($things, static fn (array $t): bool => ! isset($parked[$t['id']])));
        }

        return Kit::fromArray(Removal::withoutLoose($document));
    }

    private static function notChosen(Kit $kit, ?string $mark): ?string
    {
        if ($mark === null) {
            return null;
        }
        [$name, $choice] = KitOption::parts($mark);
        foreach ($kit->options as $option) {
            if ($option->name === $name && $option->chosen !== null && $option->chosen !== $choice) {
                return "{$name}: {$option->chosen} is built, not {$choice}";
            }
        }

        return null;
    }

    private static function notAllowed(Kit $kit, Origin $origin): ?string
    {
        foreach ($kit->showRules as $rule) {
            if ($rule->demand->parks($origin)) {
                return "the show's rule: {$rule->demand->word()}";
            }
        }

        return null;
    }
}

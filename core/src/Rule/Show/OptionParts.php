<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Show;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitOption;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'The kit offers alternatives: until one is chosen all of them are planned; what is not chosen is parked.',
    speaks: [Severity::Think],
    rests: 'The alternatives of the kit',
)]
final class OptionParts implements Judges
{
    public function id(): string
    {
        return 'option-parts';
    }

    public function judge(Outlook $outlook): iterable
    {
        $kit = $outlook->context->kit;
        foreach (self::open($kit) as $name => $choices) {
            $option = array_values(array_filter($kit->options, static fn (KitOption $o): bool => $o->name === $name))[0] ?? null;
            $fixes = array_map(static fn (string $choice): Fix => new Fix("Build it {$choice}", [$option === null ? Edit::add('options', (new KitOption(Id::from('option', $name), $name, $choice))->toArray()) : Edit::set('options', $option->id, 'chosen', $choice)]), $choices);
            if ($fixes !== [] && count($choices) > 1) {
                yield new Finding($this->id(), Severity::Think, "{$name}: ".implode(' or ', $choices), 'The kit offers both and neither is chosen: parts of both are in the plan, on the colour lists and in the tally.', [Id::from('option', $name)], [], $fixes, rests: implode('|', $choices));
            }
        }
    }

    /** @return array<string, list<string>> choices by the name of an option nobody decided */
    private static function open(Kit $kit): array
    {
        $choices = self::choices($kit);
        foreach ($kit->options as $option) {
            if ($option->chosen !== null) {
                unset($choices[$option->name]);
            }
        }

        return $choices;
    }

    /** @return array<string, list<string>> what parts and call-outs are marked with, by option */
    public static function choices(Kit $kit): array
    {
        $choices = [];
        foreach ([...$kit->parts, ...$kit->callouts] as $thing) {
            if ($thing->option !== null) {
                [$name, $choice] = KitOption::parts($thing->option);
                $choices[$name][$choice] = true;
            }
        }

        return array_map(static fn (array $c): array => array_map(strval(...), array_keys($c)), $choices);
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;

/** What rules say over and over: a must, and the fixes most findings end in. */
final class Say
{
    public static function must(Step $before, Step $after, Rule $rule, string $sentence): Constraint
    {
        return new Constraint($before->key, $after->key, Strength::Must, $rule->id(), $sentence);
    }

    /**
     * Every step of the first list before every one of the second.
     *
     * @param  iterable<Step>  $before
     * @param  list<Step>  $after
     * @return iterable<Constraint>
     */
    public static function all(iterable $before, array $after, Rule $rule, string $sentence): iterable
    {
        foreach ($before as $b) {
            foreach ($after as $a) {
                if ($a->key !== $b->key) {
                    yield self::must($b, $a, $rule, $sentence);
                }
            }
        }
    }

    /**
     * Takes back the pins that led here.
     *
     * @param  callable(Pin): bool  $is
     */
    public static function unpin(Context $context, callable $is, string $title): ?Fix
    {
        $edits = [];
        foreach ($context->kit->pins as $pin) {
            if ($is($pin)) {
                $edits[] = Edit::remove('pins', $pin->id);
            }
        }

        return $edits === [] ? null : new Fix($title, $edits);
    }

    /**
     * A look at what may have suffered, once the paint is ready for it, before anything else goes on.
     *
     * @param  non-empty-list<string>  $targets
     */
    public static function look(Outlook $outlook, string $findingKey, array $targets, string $title, ?WaitKind $waitsFor, Operation $operation = Operation::Inspect): Fix
    {
        return new Fix($title, [Edit::insert(new Inserted(
            Id::from('look', $findingKey, $title), $operation, $targets, $title,
            $outlook->nextCoatOn($targets[0]), $waitsFor, answers: $findingKey,
        ))]);
    }

    /** A step in front of another on one joint or piece. */
    public static function insertBefore(string $findingKey, string $target, string $title, string $before, Operation $operation): Fix
    {
        return new Fix($title, [Edit::insert(new Inserted(Id::from('before', $findingKey, $title), $operation, [$target], $title, $before, answers: $findingKey))]);
    }

    /**
     * @param  list<Fix|null>  $fixes
     * @return list<Fix>
     */
    public static function fixes(array $fixes): array
    {
        return array_values(array_filter($fixes));
    }
}

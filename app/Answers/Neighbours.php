<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Log\UseFactor;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Timing\Paint;
use AmberStep\Core\Timing\Tasks;
use App\Http\Presenters\RoundPresenter;

/** What the other builds ask of the hands: kept beside their answers, so that a press need not work them out, nor a change of the evenings. */
final readonly class Neighbours
{
    private const FILE = 'neighbour';

    private const CLASSES = [Neighbour::class, Tasks::class, Paint::class, Need::class, UseFactor::class, Tool::class];

    public function __construct(private Store $store, private Problems $problems)
    {
    }

    /**
     * @param  array<string, string>  $marks  of the builds, in the user's order
     * @return array<string, array{name: string, neighbour: Neighbour, lines: list<array<string, mixed>>}> by build, those that can be read
     */
    public function of(array $marks, string $except): array
    {
        $all = [];
        foreach ($marks as $build => $mark) {
            if ($build !== $except) {
                $kept = $this->kept($build, $mark) ?? $this->workOut($build, $mark);
                if ($kept !== null) {
                    $all[$build] = $kept;
                }
            }
        }

        return $all;
    }

    public function keep(string $build, string $mark, Problem $problem, Neighbour $neighbour): void
    {
        $this->store->write($this->store->path($build, self::FILE), serialize([Marks::ofTasks($mark), $problem->context->kit->name, $neighbour, self::lines($problem)]));
    }

    /** @return array{name: string, neighbour: Neighbour, lines: list<array<string, mixed>>}|null */
    private function kept(string $build, string $mark): ?array
    {
        $bytes = $this->store->read($build, self::FILE);
        $said = $bytes === null ? null : @unserialize($bytes, ['allowed_classes' => self::CLASSES]);
        if (! is_array($said) || ($said[0] ?? null) !== Marks::ofTasks($mark) || ! is_string($said[1] ?? null) || ! ($said[2] ?? null) instanceof Neighbour || ! is_array($said[3] ?? null)) {
            return null;
        }
        /** @var list<array<string, mixed>> $lines */
        $lines = $said[3];

        return ['name' => $said[1], 'neighbour' => $said[2], 'lines' => $lines];
    }

    /** @return array{name: string, neighbour: Neighbour, lines: list<array<string, mixed>>}|null null where it cannot be read: it says so itself */
    private function workOut(string $build, string $mark): ?array
    {
        try {
            $problem = $this->problems->of($build, $mark)[1] ?? null;
        } catch (BadDocument) {
            return null;
        }
        if ($problem === null) {
            return null;
        }
        $neighbour = Neighbour::of(new Thread($problem, Compiler::ofTheTrade()->rules), $build);
        $this->keep($build, $mark, $problem, $neighbour);

        return ['name' => $problem->context->kit->name, 'neighbour' => $neighbour, 'lines' => self::lines($problem)];
    }

    /** @return list<array<string, mixed>> what is said of each step, by its place */
    private static function lines(Problem $problem): array
    {
        return array_map(static fn ($step): array => RoundPresenter::part($step, $problem->context), array_values($problem->left));
    }
}

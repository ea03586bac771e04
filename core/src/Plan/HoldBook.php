<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** The holds of each step as the model stands by then: asked of the rules again once something was done that may bear on it. */
final class HoldBook
{
    /** What a change has to be done to so that it bears on a step. */
    private const ITS_PIECES = 0;

    private const WHAT_HANGS_ON_IT = 1;

    private const ANYWHERE = 2;

    /** @var array<string, int> by operation */
    private array $minds = [];

    /** @var array<string, array{int, StepHolds}> by key, with the change they were worked out at */
    private array $known = [];

    /** @var array<string, array{int, StepHolds}> what holds the handling of a piece, by piece, with the change it was worked out at */
    private array $handling = [];

    /** @var array<string, non-empty-list<string>> pieces a step lies on, by its key */
    private array $pieces = [];

    public function __construct(private readonly RuleBook $rules, private readonly World $world)
    {
    }

    public function of(Step $step): StepHolds
    {
        $version = $this->versionFor($step);
        if (($this->known[$step->key][0] ?? null) !== $version) {
            $holds = [];
            foreach ($this->rules->holding($step->operation) as $rule) {
                foreach ($rule->holds($step, $this->world) as $hold) {
                    $holds[] = $hold;
                }
            }
            $this->known[$step->key] = [$version, new StepHolds($holds)];
        }

        return $this->known[$step->key][1];
    }

    /** The first moment from $epoch on at which the piece of a joining step may be handled: a bound, found once for all joints of the piece. */
    public function handledFrom(Step $step, int $epoch): int
    {
        $version = $this->world->lastMove([$step->pieceId]);
        if (($this->handling[$step->pieceId][0] ?? null) !== $version) {
            $holds = [];
            foreach ($this->rules->handling as $rule) {
                array_push($holds, ...$rule->holdsPiece($step->pieceId, $this->world));
            }
            $this->handling[$step->pieceId] = [$version, new StepHolds($holds)];
        }

        return $this->handling[$step->pieceId][1]->freeFrom($epoch);
    }

    /** The last change that may bear on a step: on its pieces; for what is handled also on what hangs on them; for sanding anywhere, since dust gets everywhere. */
    public function versionFor(Step $step): int
    {
        $pieces = $this->pieces[$step->key] ?? $this->piecesOf($step);

        return match ($this->minds[$step->operation->value] ??= self::minds($step->operation)) {
            self::ANYWHERE => $this->world->lastChange(),
            self::WHAT_HANGS_ON_IT => $this->world->lastMove($pieces),
            default => $this->world->lastWork($pieces),
        };
    }

    private static function minds(Operation $operation): int
    {
        return match (true) {
            $operation->sands() => self::ANYWHERE,
            $operation->touches() => self::WHAT_HANGS_ON_IT,
            default => self::ITS_PIECES,
        };
    }

    /** @return non-empty-list<string> pieces a step lies on, or joins */
    public function piecesOf(Step $step): array
    {
        if (isset($this->pieces[$step->key])) {
            return $this->pieces[$step->key];
        }
        $breakdown = $this->world->breakdown;
        $pieces = [$step->pieceId => true];
        $joint = $this->world->kit->jointsById[$step->jointId ?? ''] ?? null;
        foreach ($joint === null ? [] : $breakdown->sides($joint) as $side) {
            $pieces[$side->id] = true;
        }
        foreach ($step->targets as $target) {
            if (isset($breakdown->pieceOfArea[$target])) {
                $pieces[$breakdown->pieceOfArea[$target]] = true;
            }
        }

        return $this->pieces[$step->key] = array_keys($pieces);
    }
}

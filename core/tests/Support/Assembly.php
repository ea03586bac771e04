<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

/**
 * Builds a model in its head: parts, faces, what lies inside what, and the order things are done in. It knows nothing of how
 * a plan is made, and says where a hand, a gun or a part cannot reach.
 *
 * @phpstan-type Deed array{at: int, do: string, on: list<string>, joint: string|null, piece: list<string>, family: string|null, for: string}
 */
final class Assembly
{
    /** Minutes at 20 °C from a coat until fingers may lie on it and until it takes tape, at the very least (handbook 2). */
    private const TOUCH = ['enamel' => 240, 'water-acrylic' => 15, 'water-varnish' => 30, 'polymer-primer' => 20, 'alcohol-acrylic' => 10, 'lacquer' => 5, 'solvent-primer' => 10];

    private const TAPE = ['enamel' => 2880, 'water-acrylic' => 1440, 'water-varnish' => 1440, 'polymer-primer' => 1440, 'alcohol-acrylic' => 720, 'lacquer' => 360, 'solvent-primer' => 360];

    /** Minutes from gluing until it may be handled. */
    private const HANDLE = ['thin-cement' => 10, 'slow-cement' => 30, 'superglue' => 1, 'clear-glue' => 30, 'epoxy' => 15];

    /** Minutes after a bath before it is glued, masked or put on a holder; before paint. */
    private const WET = 240;

    private const BATHED = 1440;

    /** @var array<string, array{parts: array{string, string}, glue: string, load: bool, blocks: list<string>}> */
    private array $joints = [];

    /** @var array<string, array{part: string, face: string, cm2: float}> */
    private array $areas = [];

    /** @var array<string, string|null> what a part lies in, by part */
    private array $inside = [];

    /** @var array<string, int> when each joint was closed */
    private array $closed = [];

    /** @var array<string, list<array{int, string}>> coats of each area: when, and of which family */
    private array $coats = [];

    /** @var array<string, true> "part joint" of faces that are bare: plugged before paint, or scraped */
    private array $bare = [];

    /** @var array<string, true> "part joint" of plugs that are in */
    private array $plugs = [];

    /** @var array<string, true> areas that are covered or masked */
    private array $covered = [];

    /** @var array<string, int> how many coats each area is to get */
    private array $wanted = [];

    /** @var array<string, int> last bath of each part */
    private array $bathed = [];

    /** @var list<string> */
    public array $trouble = [];

    /** @param  array<string, mixed>  $kit  as a scenario has it, in names */
    public function __construct(array $kit)
    {
        foreach ($kit['parts'] as $name => $part) {
            $this->inside[$name] = is_array($part) ? $part['inside'] ?? null : null;
        }
        foreach ($kit['joints'] ?? [] as $name => $joint) {
            $this->joints[$name] = ['parts' => $joint['parts'], 'glue' => $joint['glue'] ?? 'thin-cement', 'load' => $joint['carriesLoad'] ?? false, 'blocks' => $joint['blocks'] ?? []];
        }
        foreach ($kit['areas'] ?? [] as $name => $area) {
            $this->areas[$name] = ['part' => $area['part'], 'face' => $area['face'] ?? 'outside', 'cm2' => $area['cm2'] ?? 25];
        }
    }

    /**
     * @param  list<Deed>  $deeds  in the order they are done
     * @return list<string> what could not be done, in words; none where it can be built so
     */
    public function build(array $deeds): array
    {
        foreach ($deeds as $deed) {
            foreach ($deed['family'] === null ? [] : $deed['on'] as $area) {
                $this->wanted[$area] = ($this->wanted[$area] ?? 0) + 1;
            }
        }
        foreach ($deeds as $deed) {
            match ($deed['do']) {
                'glue', 'attach' => $this->glue($deed),
                'mask-faces' => $this->plug($deed, true),
                'unplug' => $this->plug($deed, false),
                'scrape' => $this->bareOn($deed),
                'mask' => $this->cover($deed, true),
                'unmask' => $this->cover($deed, false),
                'wash' => $this->bathe($deed),
                default => $deed['family'] === null ? null : $this->spray($deed),
            };
        }

        return $this->trouble;
    }

    /** @param  Deed  $deed */
    private function spray(array $deed): void
    {
        foreach ($deed['on'] as $area) {
            $part = $this->areas[$area]['part'];
            foreach ($this->closed as $joint => $at) {
                if (in_array($area, $this->joints[$joint]['blocks'], true)) {
                    $this->trouble[] = "the gun cannot reach {$area}: {$joint} is closed over it";
                }
            }
            $around = $this->areas[$area]['face'] === 'inside' ? [$part, ...$this->around($part)] : $this->around($part);
            foreach ($around as $shell) {
                if ($this->isShut($shell)) {
                    $this->trouble[] = "the gun cannot reach {$area}: {$shell} is shut";
                }
            }
            if (($this->bathed[$part] ?? PHP_INT_MIN) + 60 * self::BATHED > $deed['at'] && ($this->coats[$area] ?? []) === []) {
                $this->trouble[] = "{$area} is sprayed wet";
            }
        }
        $this->spareTheOthers($deed);
        foreach ($deed['on'] as $area) {
            $this->coats[$area][] = [$deed['at'], (string) $deed['family']];
            foreach ($this->joints as $joint => $said) {
                $side = "{$this->areas[$area]['part']} {$joint}";
                if (! isset($this->plugs[$side])) {
                    unset($this->bare[$side]);
                }
            }
        }
    }

    /**
     * What is finished inside, and panes, of what hangs together with what is sprayed.
     *
     * @param  Deed  $deed
     */
    private function spareTheOthers(array $deed): void
    {
        $outside = array_filter($deed['on'], fn (string $a): bool => $this->areas[$a]['face'] === 'outside' && $this->around($this->areas[$a]['part']) === []);
        if ($outside === []) {
            return;
        }
        $together = $this->together($this->areas[array_values($outside)[0]]['part']);
        foreach ($this->areas as $area => $said) {
            if (isset($this->covered[$area]) || in_array($area, $deed['on'], true) || ! isset($together[$said['part']])) {
                continue;
            }
            if ($said['face'] === 'pane') {
                $this->trouble[] = "overspray on {$area}, which is bare";
            }
            $inner = $said['face'] === 'inside' || $this->around($said['part']) !== [];
            $shells = $said['face'] === 'inside' ? [$said['part'], ...$this->around($said['part'])] : $this->around($said['part']);
            $open = array_filter($shells, $this->isShut(...)) === [];
            $finished = ($this->coats[$area] ?? []) !== [] && count($this->coats[$area]) === $this->wanted[$area];
            if ($inner && $open && $finished && ! $this->isBlocked($area)) {
                $this->trouble[] = "overspray on {$area}, which is finished and lies open";
            }
        }
    }

    /** @param  Deed  $deed */
    private function glue(array $deed): void
    {
        $joint = (string) $deed['joint'];
        ['parts' => $parts, 'glue' => $glue, 'load' => $load] = $this->joints[$joint];
        foreach ($parts as $i => $part) {
            $other = $parts[1 - $i];
            foreach ($this->around($part) as $shell) {
                // What already hangs together inside may be glued on; what comes from outside has to get in.
                if ($this->isShut($shell) && ! isset($this->together($part)[$other]) && in_array($other, [$shell, ...$this->contents($shell)], true)) {
                    $this->trouble[] = "{$part} cannot get into {$shell}: it is shut";
                }
            }
            $painted = array_filter($this->areas, fn (array $a, string $n): bool => $a['part'] === $part && ($this->coats[$n] ?? []) !== [], ARRAY_FILTER_USE_BOTH) !== [];
            if (($load || str_ends_with($glue, 'cement')) && $painted && ! isset($this->bare["{$part} {$joint}"])) {
                $this->trouble[] = "{$joint}: {$glue} on the paint of {$part}";
            }
            if (isset($this->plugs["{$part} {$joint}"])) {
                $this->trouble[] = "{$joint}: a plug is still in {$part}";
            }
            if (($this->bathed[$part] ?? PHP_INT_MIN) + 60 * self::WET > $deed['at']) {
                $this->trouble[] = "{$joint}: water stands in {$part}";
            }
        }
        $this->grip($deed, $parts, $joint);
        $this->closed[$joint] = $deed['at'];
    }

    /**
     * Fingers on what is put to the other: not on young paint, not on a joint that still moves.
     *
     * @param  Deed  $deed
     * @param  array{string, string}  $parts
     */
    private function grip(array $deed, array $parts, string $joint): void
    {
        foreach ($parts as $part) {
            $together = $this->together($part);
            foreach ($this->closed as $other => $at) {
                if (array_intersect($this->joints[$other]['parts'], array_keys($together)) !== [] && $deed['at'] < $at + 60 * self::HANDLE[$this->joints[$other]['glue']]) {
                    $this->trouble[] = "{$joint}: {$other} has not set";
                }
            }
            $main = isset($together[array_key_first($this->inside)]);
            $cm2 = array_sum(array_map(fn (array $a): float => isset($together[$a['part']]) && $a['face'] === 'outside' ? $a['cm2'] : 0.0, $this->areas));
            foreach ($this->areas as $area => $said) {
                foreach (isset($together[$said['part']]) && $said['face'] === 'outside' ? $this->coats[$area] ?? [] : [] as [$at, $family]) {
                    $least = $main || $deed['do'] === 'glue' || $cm2 < 3 ? self::TOUCH[$family] : self::TAPE[$family];
                    if ($deed['at'] < $at + 60 * $least) {
                        $this->trouble[] = "{$joint}: fingers in the paint of {$area}";
                    }
                }
            }
        }
    }

    /** @param  Deed  $deed */
    private function plug(array $deed, bool $in): void
    {
        foreach ($deed['piece'] as $part) {
            $side = "{$part} {$deed['for']}";
            if (! in_array($part, $this->joints[$deed['for']]['parts'], true)) {
                continue;
            }
            if ($in) {
                $painted = array_filter($this->areas, fn (array $a, string $n): bool => $a['part'] === $part && ($this->coats[$n] ?? []) !== [], ARRAY_FILTER_USE_BOTH) !== [];
                $this->plugs[$side] = true;
                if (! $painted) {
                    $this->bare[$side] = true;
                }
            } else {
                unset($this->plugs[$side]);
            }
        }
    }

    /** @param  Deed  $deed */
    private function bareOn(array $deed): void
    {
        foreach ($this->joints[$deed['for']]['parts'] as $part) {
            if (in_array($part, $deed['piece'], true)) {
                $this->bare["{$part} {$deed['for']}"] = true;
            }
        }
    }

    /** @param  Deed  $deed */
    private function cover(array $deed, bool $on): void
    {
        foreach ($deed['on'] as $area) {
            if ($on) {
                $this->covered[$area] = true;
            } else {
                unset($this->covered[$area]);
            }
        }
    }

    /** @param  Deed  $deed */
    private function bathe(array $deed): void
    {
        $parts = $deed['on'] === [] || ! isset($this->areas[$deed['on'][0]]) ? $deed['piece'] : array_unique(array_map(fn (string $a): string => $this->areas[$a]['part'], $deed['on']));
        foreach ($parts as $part) {
            $this->bathed[$part] = $deed['at'];
            foreach (array_keys($this->together($part)) as $wet) {
                foreach ($this->areas as $area => $said) {
                    if ($said['part'] === $wet && ($this->coats[$area] ?? []) !== []) {
                        $this->trouble[] = "{$area} is painted and goes into the bath";
                    }
                }
            }
            foreach ($this->closed as $joint => $at) {
                if ($this->joints[$joint]['glue'] === 'clear-glue' && array_intersect($this->joints[$joint]['parts'], array_keys($this->together($part))) !== []) {
                    $this->trouble[] = "{$joint} comes off in the bath";
                }
            }
        }
    }

    /** @return array<string, true> all parts that hang together with one */
    private function together(string $part): array
    {
        $found = [$part => true];
        do {
            $before = count($found);
            foreach (array_keys($this->closed) as $joint) {
                [$a, $b] = $this->joints[$joint]['parts'];
                if (isset($found[$a]) || isset($found[$b])) {
                    $found[$a] = $found[$b] = true;
                }
            }
        } while (count($found) > $before);

        return $found;
    }

    /** @return list<string> */
    private function around(string $part): array
    {
        $around = [];
        for ($in = $this->inside[$part]; $in !== null; $in = $this->inside[$in]) {
            $around[] = $in;
        }

        return $around;
    }

    /** @return list<string> */
    private function contents(string $shell): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($this->inside)), fn (string $p): bool => in_array($shell, $this->around($p), true)));
    }

    /** A shell is shut by a closed joint with something outside it: one that is said to block what lies in it, where any is. */
    private function isShut(string $shell): bool
    {
        $in = $this->contents($shell);
        $blocking = $closing = [];
        foreach ($this->joints as $joint => $said) {
            if (array_intersect($said['parts'], $in) !== []) {
                continue;
            }
            $inner = array_filter($said['blocks'], fn (string $a): bool => in_array($this->areas[$a]['part'], $in, true) || ($this->areas[$a]['part'] === $shell && $this->areas[$a]['face'] === 'inside'));
            if ($inner !== []) {
                $blocking[] = $joint;
            } elseif (in_array($shell, $said['parts'], true) && $in !== [] && array_intersect($said['parts'], $this->around($shell)) === []) {
                $closing[] = $joint;
            }
        }

        return array_intersect($blocking === [] ? $closing : $blocking, array_keys($this->closed)) !== [];
    }

    private function isBlocked(string $area): bool
    {
        return array_filter(array_keys($this->closed), fn (string $j): bool => in_array($area, $this->joints[$j]['blocks'], true)) !== [];
    }
}

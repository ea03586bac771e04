<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\FeatureKind;
use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Material\Filler;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A kit with a booklet drawn from a seed: alternatives, handed parts, hollow vinyl, grilles, holders, a show's rules, things missing. */
final class RandomReadAhead
{
    private const COLOURS = ['sea grey', 'slate green', 'interior dark', 'alcohol sand'];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function build(): TypedBuild
    {
        $build = new TypedBuild(implode("\n", ["part hull, no A1\nhull / side, 90, sea grey".($this->chance(50) ? ', pin wash, matt' : ''), ...$this->parts()]), implode("\n", $this->booklet()));
        if ($this->chance(70)) {
            $build->edit(self::some(BringIn::edits($build->kit, $build->kit->callouts, $build->newId(...))));
        }
        foreach (['no-base', 'kit-only', 'photographs'] as $demand) {
            if ($this->chance(20)) {
                $build->edit([Edit::add('showRules', ['id' => $build->newId(), 'demand' => $demand])]);
            }
        }
        if ($this->chance(15)) {
            $missing = $this->one(['gun', 'part']);
            $build->edit([Edit::add('outages', ['id' => $build->newId(), 'missing' => $missing, 'target' => $missing === 'part' ? $this->one($build->kit->parts)->id : null, 'since' => '2026-03-02T18:00:00Z'])]);
        }
        if ($this->chance(20)) {
            $build->edit([Edit::set('kit', '', 'noseWheel', true)]);
        }
        if ($this->chance(30)) {
            $build->edit([Edit::add('holders', ['id' => $build->newId(), 'holder' => $this->one(['stick', 'clip']), 'owned' => $this->random->getInt(0, 5)])]);
        }

        for ($i = $this->random->getInt(0, 3); $i > 0; $i--) {
            $build->edit([Edit::add('flaws', ['id' => $build->newId(), 'position' => $i, 'kind' => $this->one(FlawKind::cases())->value, 'part' => $this->one($build->kit->parts)->id, 'where' => "place {$i}", 'widthMm' => $this->one([0, 0.05, 0.2, 0.6]), 'lengthMm' => $this->one([0, 12]), 'access' => $this->one(['open', 'tight', 'detail', 'none']), 'crossed' => $this->chance(30), 'filler' => $this->chance(40) ? $this->one(Filler::cases())->value : null, 'foundAt' => $this->one(['bare', 'bare', 'primer', 'colour', 'clear'])])]);
        }
        if ($this->chance(30)) {
            $build->edit([Edit::add('features', ['id' => $build->newId(), 'kind' => $this->one(FeatureKind::cases())->value, 'part' => $this->one($build->kit->parts)->id])]);
        }

        return $build;
    }

    /** Someone looks at a place and says what it needs; nothing where there is none. */
    public function look(TypedBuild $build): void
    {
        $places = [...array_column($build->kit->flaws, 'id'), ...array_column(array_filter($build->kit->joints, static fn ($j): bool => $j->isSeam()), 'id')];
        if ($places === []) {
            return;
        }
        $at = gmdate('Y-m-d\TH:i:s\Z', $build->now);
        $build->events[] = Event::fromArray(['id' => sprintf('01E9000000%016d', count($build->events) + 1), 'kind' => 'verdict', 'at' => $at, 'recorded' => $at, 'targets' => [$this->one($places)], 'verdict' => $this->one(['good', 'fill', 'sand', 'rescribe', 'halo', 'real-detail', 'no-detail', 'accept']), 'purpose' => 'nail', 'note' => 'so']);
    }

    /**
     * @param  list<mixed>  $list
     * @return list<mixed>
     */
    public function shuffled(array $list): array
    {
        return $this->random->shuffleArray($list);
    }

    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    /** @return list<string> */
    private function parts(): array
    {
        $lines = [];
        $made = ['deck' => '', 'grille' => 'brass, lets light', 'arm' => 'soft vinyl, hollow', 'strut' => 'hand left, slot 2', 'aerial' => 'fragile', 'wheels' => 'x8, grip hole', 'ball' => 'grip none', 'plinth' => 'base part', 'etch' => 'brass, added part, grip flat back', 'lid' => 'option hatch=open', 'cover' => 'option hatch=shut'];
        foreach ($made as $name => $says) {
            if (! $this->chance(45)) {
                continue;
            }
            $lines[] = "part {$name}".($says === '' ? '' : ", {$says}");
            $colour = $name === 'arm' ? 'sea grey' : $this->one(self::COLOURS);
            if ($this->chance(85)) {
                $lines[] = "{$name} / {$name}, {$this->one([2, 6, 30])}, {$colour}".($this->chance(30) ? ', matt' : '');
            }
            $lines[] = "{$name} joint: hull + {$name}".($name === 'deck' ? ', seam, gap 0.2, 9 long' : '').$this->one(['', ', before paint', ', after paint', ', superglue, after paint']);
        }
        if (in_array('part deck', $lines, true) && $this->chance(60)) {
            $lines[] = 'hull / bay, 12, inside, interior dark';
            $lines[] = 'deck joint: hull + deck, blocks hull / bay';
        }

        return $lines;
    }

    /** @return list<string> */
    private function booklet(): array
    {
        $lines = ['1: A1 sea grey L'];
        for ($i = 1, $n = $this->random->getInt(0, 6); $i <= $n; $i++) {
            $lines[] = "{$this->random->getInt(1, 9)}: B{$i} {$this->one(self::COLOURS)} {$this->one(['XS', 'S', 'M'])}".$this->one(['', ' x2', ' left half', ' inside', ' option hatch=open', ' lets light']);
        }

        return $this->chance(75) ? $lines : [];
    }

    /**
     * @param  list<Edit>  $edits
     * @return list<Edit>
     */
    private static function some(array $edits): array
    {
        return $edits === [] ? [Edit::set('kit', '', 'name', 'A build')] : $edits;
    }
}

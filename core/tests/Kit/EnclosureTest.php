<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Enclosure;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\TestCase;

/** What lies inside what: a pilot on a seat in a tub in a hull is shut in by the hull's seam. */
final class EnclosureTest extends TestCase
{
    private Build $build;

    protected function setUp(): void
    {
        $in = static fn (string $part): array => ['substrate' => 'styrene', 'inside' => $part];
        $this->build = new Build(['kit' => [
            'parts' => ['port' => 'styrene', 'starboard' => 'styrene', 'tub' => $in('port'), 'seat' => $in('tub'), 'pilot' => $in('seat'), 'wing' => 'styrene'],
            'joints' => ['seam' => ['parts' => ['port', 'starboard'], 'kind' => 'seam', 'closed' => 'before', 'blocks' => ['floor']], 'rails' => ['parts' => ['tub', 'port'], 'closed' => 'before'], 'bolts' => ['parts' => ['seat', 'tub']], 'straps' => ['parts' => ['pilot', 'seat']], 'spar' => ['parts' => ['wing', 'port']]],
            'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark'],
            'areas' => ['side' => ['part' => 'port', 'colour' => 'grey'], 'floor' => ['part' => 'tub', 'colour' => 'dark', 'face' => 'inside'], 'suit' => ['part' => 'pilot', 'colour' => 'dark']],
        ]]);
    }

    /**
     * @param  list<Joint>|list<Part>  $things
     * @return list<string>
     */
    private static function names(array $things): array
    {
        return array_map(static fn (Joint|Part $thing): string => $thing->name, $things);
    }

    public function test_what_lies_in_it_is_told_to_any_depth(): void
    {
        $enclosure = new Enclosure($this->build->kit);

        self::assertFalse($enclosure->isEmpty());
        self::assertEqualsCanonicalizing(['tub', 'seat', 'pilot'], self::names($enclosure->contentsOf($this->build->id('port'))));
        self::assertSame(array_map($this->build->id(...), ['seat', 'tub', 'port']), $enclosure->around($this->build->id('pilot')));
        self::assertSame([], $enclosure->contentsOf($this->build->id('wing')));
    }

    public function test_a_thing_is_put_in_by_its_own_joint_and_shut_in_by_the_seam_round_all_of_it(): void
    {
        $enclosure = new Enclosure($this->build->kit);

        self::assertSame([['straps'], ['rails']], [self::names($enclosure->joinsOf($this->build->id('pilot'))), self::names($enclosure->joinsOf($this->build->id('tub')))]);
        self::assertSame(['seam'], self::names($enclosure->closersOf($this->build->id('port'))), 'the wing shuts nothing: it is said what does');
        self::assertContains('seam', self::names($enclosure->deadlines($this->build->id('pilot'))));
        self::assertSame([], self::names($enclosure->deadlines($this->build->id('wing'))));
    }

    public function test_the_plan_puts_each_in_before_the_next_shuts_it_in(): void
    {
        $at = [];
        foreach ($this->build->plan(minutes: null)->byTime() as $n => $planned) {
            if ($planned->step->operation->joins()) {
                $at[$this->build->kit->jointsById[(string) $planned->step->jointId]->name] = $n;
            }
        }
        self::assertLessThan($at['seam'], $at['rails']);
        self::assertLessThan($at['seam'], $at['straps']);
    }

    public function test_nothing_lies_in_itself_or_in_what_is_not_there(): void
    {
        $kit = $this->build->kit->toArray();
        foreach ([$this->build->id('pilot') => 'puts', Id::from('nobody') => 'which is not in the kit'] as $inside => $wrong) {
            $bad = $kit;
            foreach ($bad['parts'] as $i => $part) {
                $bad['parts'][$i]['inside'] = $part['name'] === 'port' ? $inside : ($part['inside'] ?? null);
            }
            try {
                Kit::fromArray($bad);
                self::fail($inside);
            } catch (BadDocument $said) {
                self::assertStringContainsString($wrong, $said->problems[0]->wrong);
                self::assertMatchesRegularExpression('/\\Aparts\\[\\d\\]\\.inside\\z/', $said->problems[0]->path);
                self::assertNotSame('', $said->problems[0]->right);
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Seam;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Material\Grit;
use AmberStep\Core\Material\GritScale;
use AmberStep\Core\Seam\Ladder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Abrasive ladders: the handbook's values, and every set tried by brute force. */
final class LadderTest extends TestCase
{
    public function test_the_handbooks_ladder(): void
    {
        $ladder = Ladder::between(Grit::read('P320'), Grit::read('P2000'), self::grits('P320', 'P600', 'P1000', 'P2000'));

        self::assertSame(['P320', 'P600', 'P1000', 'P2000'], self::labels($ladder?->steps ?? []));
        self::assertSame([46.2, 25.8, 18.3, 10.3], array_map(static fn (Grit $g): float => $g->microns, $ladder->steps ?? []));
        self::assertEqualsWithDelta(0.558, $ladder->worst ?? 0, 5e-4);
        self::assertSame([], $ladder->missing ?? null);
    }

    public function test_what_skips_too_far_is_refused_and_says_what_to_buy(): void
    {
        self::assertFalse(Ladder::follows(Grit::read('P400'), Grit::read('P1000')), '0.523');
        self::assertFalse(Ladder::follows(Grit::read('P400'), Grit::read('P2500')), '0.24');
        $ladder = Ladder::between(Grit::read('P400'), Grit::read('P1000'), self::grits('P1000'));
        self::assertSame(['P400', 'P600', 'P1000'], self::labels($ladder->steps ?? []), 'the way whose worst step is mildest');
        self::assertSame(['P600'], self::labels($ladder->missing ?? []));

        $none = Ladder::between(Grit::read('P400'), Grit::read('P2500'), []);
        self::assertSame(['P800', 'P1500', 'P2500'], self::labels($none->missing ?? []), 'the last grit is bought too');
    }

    public function test_compound_follows_anything_fine_and_nothing_coarse(): void
    {
        self::assertTrue(Ladder::follows(Grit::read('P3000'), Grit::read('compound')));
        self::assertTrue(Ladder::follows(Grit::read('cloth 3600'), Grit::read('compound')));
        self::assertFalse(Ladder::follows(Grit::read('P2500'), Grit::read('compound')));
        self::assertSame(['P2000', 'P3000', 'compound'], self::labels(Ladder::between(Grit::read('P2000'), Grit::read('compound'), self::grits('P2000', 'P3000', 'compound'))->steps ?? []));
    }

    public function test_downwards_only(): void
    {
        self::assertNull(Ladder::between(Grit::read('P1000'), Grit::read('P400'), self::grits('P400')));
        self::assertSame(['P400'], self::labels(Ladder::between(Grit::read('P400'), Grit::read('P400'), [])->steps ?? []));
    }

    public function test_on_random_sets_it_is_the_shortest_and_of_those_the_mildest(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $all = [...Grit::all(GritScale::Fepa), ...Grit::all(GritScale::Cami), ...Grit::all(GritScale::Cloth), ...Grit::all(GritScale::Jis), Grit::read('compound')];
        $reached = 0;
        for ($i = 0; $i < 400; $i++) {
            $owned = array_map(static fn (int $k): Grit => $all[$k], $random->pickArrayKeys($all, $random->getInt(3, 9)));
            [$from, $to] = [$all[$random->getInt(0, 12)], $owned[$random->getInt(0, count($owned) - 1)]];
            $ladder = Ladder::between($from, $to, $owned);
            $best = self::bruteForce($from, $to, $owned);
            if ($to->microns >= $from->microns) {
                continue;
            }
            if ($best === null) {
                self::assertTrue($ladder === null || $ladder->missing !== [], 'what cannot be reached wants something bought');

                continue;
            }
            $reached++;
            self::assertNotNull($ladder);
            self::assertSame([], $ladder->missing);
            self::assertSame(count($best[0]), count($ladder->steps));
            self::assertEqualsWithDelta($best[1], $ladder->worst, 1e-12);
            self::assertSame(array_map(static fn (Grit $g): float => $g->microns, $best[0]), array_map(static fn (Grit $g): float => $g->microns, $ladder->steps), 'the coarser grit earlier');
        }
        self::assertGreaterThan(60, $reached);
    }

    public function test_with_what_is_missing_bought_the_ladder_is_sound(): void
    {
        $random = new Randomizer(new Mt19937(8));
        $fepa = Grit::all(GritScale::Fepa);
        for ($i = 0; $i < 200; $i++) {
            $owned = array_map(static fn (int $k): Grit => $fepa[$k], $random->pickArrayKeys($fepa, $random->getInt(1, 3)));
            [$from, $to] = [$fepa[$random->getInt(0, 6)], $fepa[$random->getInt(8, 18)]];
            $ladder = Ladder::between($from, $to, $owned);
            self::assertNotNull($ladder);
            for ($k = 1; $k < count($ladder->steps); $k++) {
                self::assertTrue(Ladder::follows($ladder->steps[$k - 1], $ladder->steps[$k]));
            }
            // With one grit fewer bought there is no way.
            foreach ($ladder->missing as $left) {
                $rest = [...$owned, ...array_filter($ladder->missing, static fn (Grit $g): bool => $g !== $left)];
                self::assertNotSame([], Ladder::between($from, $to, $rest)->missing ?? []);
            }
        }
    }

    #[DataProvider('grits_as_written')]
    public function test_a_grit_is_read_on_its_scale(string $text, string $label, float $microns): void
    {
        $grit = Grit::read($text);

        self::assertSame([$label, $microns], [$grit->label(), $grit->microns]);
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function grits_as_written(): iterable
    {
        foreach ([['P320', 'P320', 46.2], ['p 2000', 'P2000', 10.3], ['320 CAMI', '320 CAMI', 36.0], ['cami 600', '600 CAMI', 16.0], ['cloth 3200', '3200 polishing cloth', 9.0], ['1000 jis', '1000 JIS', 11.5], ['1000 FEPA', 'P1000', 18.3], ['Compound', 'compound', 1.0]] as $case) {
            yield $case[0] => $case;
        }
    }

    public function test_a_number_alone_asks_which_scale_and_nonsense_says_what_would_be_right(): void
    {
        foreach (['1000' => 'P1000 (18.3 µm) or 1000 CAMI (9.2 µm) or 1000 JIS (11.5 µm)', '320' => 'P320 (46.2 µm) or 320 CAMI (36 µm)', 'P333' => 'it has 180, 220', 'sandpaper' => 'write P320', '4000' => 'P4000 (5 µm) or 4000 cloth (5 µm)'] as $text => $right) {
            try {
                Grit::read((string) $text);
                self::fail("{$text} was read");
            } catch (NotRead $not) {
                self::assertStringContainsString($right, $not->right);
            }
        }
    }

    public function test_every_row_of_the_table_is_there_and_scales_convert_by_microns(): void
    {
        self::assertSame([19, 12, 9, 2, 1], array_map(static fn (GritScale $s): int => count(Grit::all($s)), GritScale::cases()));
        foreach (GritScale::cases() as $scale) {
            $microns = array_map(static fn (Grit $g): float => $g->microns, Grit::all($scale));
            $sorted = $microns;
            rsort($sorted);
            self::assertSame($sorted, $microns, "{$scale->value}: the higher the number, the finer");
        }
        self::assertSame('P1500', Grit::read('800 CAMI')->nearestOn(GritScale::Fepa)->label());
        self::assertSame('P3000', Grit::read('2000 JIS')->nearestOn(GritScale::Fepa)->label());
    }

    /** @return list<Grit> */
    private static function grits(string ...$texts): array
    {
        return array_values(array_map(Grit::read(...), $texts));
    }

    /**
     * @param  list<Grit>  $grits
     * @return list<string>
     */
    private static function labels(array $grits): array
    {
        return array_map(static fn (Grit $g): string => $g->label(), $grits);
    }

    /**
     * Every subset of what is owned, in order.
     *
     * @param  list<Grit>  $owned
     * @return array{list<Grit>, float}|null
     */
    private static function bruteForce(Grit $from, Grit $to, array $owned): ?array
    {
        $between = array_values(array_filter($owned, static fn (Grit $g): bool => $g->microns < $from->microns && $g->microns > $to->microns));
        usort($between, static fn (Grit $a, Grit $b): int => $b->microns <=> $a->microns);
        $best = null;
        for ($mask = 0; $mask < 2 ** count($between); $mask++) {
            $path = [$from, ...array_values(array_filter($between, static fn (int $i): bool => ($mask >> $i & 1) === 1, ARRAY_FILTER_USE_KEY)), $to];
            $worst = 1.0;
            for ($i = 1; $i < count($path); $i++) {
                $worst = Ladder::follows($path[$i - 1], $path[$i]) ? min($worst, Ladder::ratio($path[$i - 1], $path[$i])) : -1.0;
            }
            $rank = static fn (array $p, float $w): array => [count($p), -round($w, 12), ...array_map(static fn (Grit $g): float => -$g->microns, $p)];
            if ($worst > 0 && self::sound($path) && ($best === null || $rank($path, $worst) < $rank($best[0], $best[1]))) {
                $best = [$path, $worst];
            }
        }

        return $best;
    }

    /** @param  list<Grit>  $path */
    private static function sound(array $path): bool
    {
        for ($i = 1; $i < count($path); $i++) {
            if (! Ladder::follows($path[$i - 1], $path[$i])) {
                return false;
            }
        }

        return true;
    }
}

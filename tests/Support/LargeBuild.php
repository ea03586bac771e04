<?php

declare(strict_types=1);

namespace Tests\Support;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Tests\Support\Build;
use App\Build\BuildFile;

/** A build of any size to measure with: five areas a piece, seams and late joints, flaws, a stay in the cabinet, a log. */
final readonly class LargeBuild
{
    private const AREAS_A_PIECE = 5;

    /** Joints closed before paint, and of these the seams. */
    private const EARLY = 5;

    private const SEAMS = 3;

    private const ID = '01M00000000000000000000001';

    /** @param  int  $areas  at least five */
    public static function of(int $areas): Build
    {
        $parts = $joints = $kit = $edges = [];
        for ($p = 0; $p < intdiv($areas, self::AREAS_A_PIECE); $p++) {
            $parts["part {$p}"] = 'styrene';
            if ($p > 0) {
                $joints["joint {$p}"] = ['parts' => ['part 0', "part {$p}"], 'closed' => $p < self::EARLY ? 'before' : 'after', 'kind' => $p < self::SEAMS ? 'seam' : 'line', 'glue' => 'epoxy', 'gapMm' => 0.1, 'lengthCm' => 5];
            }
            for ($a = 0; $a < self::AREAS_A_PIECE; $a++) {
                $kit["area {$p} {$a}"] = array_filter(['part' => "part {$p}", 'cm2' => 10 + 7 * $a, 'colour' => ['grey', 'green', 'pale'][($p + $a) % 3], 'decals' => $a === 0, 'wash' => $a % 2 === 0 ? 'pin' : null, 'sheen' => 'matt'], static fn (mixed $v): bool => $v !== null);
                if ($a > 0) {
                    $edges[] = ["area {$p} ".($a - 1), "area {$p} {$a}", 80];
                }
            }
        }

        return new Build(['title' => "{$areas} areas", 'now' => '2026-03-03 19:05', 'room' => ['cycle' => [14, 22, 45, 80]], 'kit' => ['parts' => $parts, 'joints' => $joints, 'areas' => $kit, 'edges' => $edges, 'colours' => ['grey' => 'sea grey', 'green' => 'slate green', 'pale' => 'pale grey']]]);
    }

    /** The same with flaws on every third piece, worked on for a while, and something in the cabinet. */
    public static function worked(int $areas, int $steps): Build
    {
        $build = self::of($areas);
        foreach ($build->kit->parts as $i => $part) {
            if ($i % 3 === 0) {
                $build->edit([Edit::add('flaws', ['id' => sprintf('01N00000000000000000%06d', $i), 'position' => $i, 'kind' => 'sink', 'part' => $part->id, 'where' => 'under the rim', 'widthMm' => 0.4, 'lengthMm' => 8])]);
            }
        }
        $at = $build->now - 86400 * 6;
        foreach (array_slice(array_values($build->plan()->left), 0, $steps) as $i => $planned) {
            $build->events[] = StepEvent::of($planned->step, sprintf('01E0000000%016d', $i + 1), $at += 600, $at);
        }
        $build->record(['at' => $build->now - 7200, 'do' => 'into-cabinet', 'on' => ['area 1 0', 'area 1 1'], 'cabinetC' => 45]);

        return $build;
    }

    /** @return list<Event> so many coats, one after the other on one area after the other */
    public static function log(Build $build, int $coats): array
    {
        $ids = array_keys($build->kit->areasById);
        $events = [];
        for ($i = 0; $i < $coats; $i++) {
            $at = gmdate('Y-m-d\TH:i:s\Z', $build->now - 600 * ($coats - $i));
            $events[] = Event::fromArray(['id' => sprintf('01E0000000%016d', $i), 'kind' => 'done', 'operation' => 'colour', 'at' => $at, 'recorded' => $at, 'targets' => [$ids[$i % count($ids)]], 'product' => $build->id('sea grey'), 'purpose' => $build->kit->colours[0]->id]);
        }

        return $events;
    }

    public static function file(Build $build): string
    {
        return (new BuildFile(self::ID, $build->kit, $build->shelf->products, $build->events))->toJson();
    }
}

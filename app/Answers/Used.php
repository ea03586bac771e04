<?php

declare(strict_types=1);

namespace App\Answers;

use App\Clock\BenchClock;
use App\Repositories\BuildRepository;
use App\Repositories\UsedOn;

/** What each paint is used on, over all builds: their kits say so, no plan is asked. */
final readonly class Used
{
    private const BENCH = 'bench';

    private const NAME = 'used';

    public function __construct(private Store $store, private Marks $marks, private BuildRepository $builds, private BenchClock $clock)
    {
    }

    /** @return array<string, list<string>> by paint */
    public function on(): array
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->ofKits();
        $kept = $this->store->get(self::BENCH, self::NAME);
        if ($kept === null || ! $kept->holds($mark, $now)) {
            $used = [];
            foreach ($this->builds->kits() as $kit) {
                foreach (UsedOn::of($kit) as $product => $says) {
                    $used[(string) $product][] = $says;
                }
            }
            $kept = new Kept($mark, $now, PHP_INT_MAX, 0, null, Packed::of(['used' => (object) $used]));
            $this->store->put(self::BENCH, self::NAME, $kept);
        }
        $out = [];
        foreach ((array) ($kept->answer->data()['used'] ?? []) as $product => $says) {
            $out[(string) $product] = is_array($says) ? array_values(array_filter($says, is_string(...))) : [];
        }

        return $out;
    }
}

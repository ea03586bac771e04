<?php

declare(strict_types=1);

namespace Tests\Support;

use PHPUnit\Framework\TestCase;

/** A browser before the real server with the demo, at a frozen evening. */
abstract class BrowserTestCase extends TestCase
{
    protected const NOW = '2026-03-03T19:05:00Z';

    protected Server $server;

    protected Browser $browser;

    protected string $build;

    protected function setUp(): void
    {
        $this->server = new Server(self::NOW, warm: true);
        $this->browser = Browser::shared();
        $this->build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
    }

    protected function tearDown(): void
    {
        // Left before its server goes, and without being asked whether to leave.
        $this->browser->driver->get('about:blank');
        $this->server->stop();
    }

    protected function go(string $station): void
    {
        $this->browser->driver->get($this->server->address()."/b/{$this->build}/{$station}");
        $this->browser->see('.card');
    }

    /**
     * Worked at the bench, each step at its planned time, until an operation comes.
     *
     * @return array<string, mixed> that step
     */
    protected function workUntil(string $operation): array
    {
        $now = self::NOW;
        for ($i = 0; $i < 60; $i++) {
            $bench = $this->server->request('GET', "/api/builds/{$this->build}/bench?minutes=120")[1];
            $step = $bench['current'] ?? null;
            if (($step['operation'] ?? '') === $operation) {
                return $step;
            }
            if ($step === null) {
                $now = $bench['opensNext']['until'];
            } else {
                $now = max($now, $step['end']);
                $this->server->setClock($now);
                $this->server->request('POST', "/api/builds/{$this->build}/events", [...$step['event'], 'id' => sprintf('01T3000000%016d', $i), 'at' => $now]);
            }
            $this->server->setClock($now);
        }
        self::fail("no {$operation} comes");
    }

    /** Moves the frozen clock and lets the page hear of it, as it does on coming back into focus. */
    protected function at(string $instant): void
    {
        $this->server->setClock($instant);
        $this->browser->script('window.dispatchEvent(new Event("focus"))');
    }

    /** A build with a mistake in it, as a file: decals, and the gloss under them left out. */
    protected function fileWithAMistake(): string
    {
        $file = $this->server->request('GET', "/api/builds/{$this->build}/export")[1];
        // Made by hand: its digest would rightly say that it was changed.
        unset($file['digest']);
        $file['id'] = '01T00000000000000000000077';
        $file['kit']['name'] = 'Import Shearwater';
        $file['kit']['pins'] = [['id' => '01T00000000000000000000078', 'operation' => 'gloss', 'present' => false]];
        foreach ($file['events'] as $i => $event) {
            $file['events'][$i]['id'] = sprintf('01T1000000%016d', $i);
        }
        if ($file['kit']['house'] === []) {
            $file['kit']['house'] = new \stdClass;
        }
        $name = sys_get_temp_dir().'/amber-'.bin2hex(random_bytes(5)).'.json';
        file_put_contents($name, json_encode($file));

        return $name;
    }
}

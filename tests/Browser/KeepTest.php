<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PDO;
use Tests\Support\BrowserTestCase;

/** The way back, walked: copies, builds in their row, changes, a full disk, a damaged file, a clock that jumped. */
final class KeepTest extends BrowserTestCase
{
    public function test_a_copy_is_brought_back_at_the_desk_and_on_the_tablet(): void
    {
        foreach ([[1280, 800], [820, 1180]] as $i => [$width, $height]) {
            $this->browser->size($width, $height);
            $this->keep();
            $this->browser->press('Copy now');
            $this->browser->seeText('[data-testid="told"]', 'Copied.');
            // The words come before the list: what stood first until then is another copy.
            $this->browser->seeText('[data-testid="copies"] li:first-child', 'you asked for it');
            $this->note($i);
            $entries = $this->entries();
            $this->browser->click('[data-testid="copies"] button');
            $this->browser->seeText('.keep-table [data-differs]', 'Corvane S.4 Shearwater');
            $this->browser->press('Bring it back');
            $this->browser->seeText('[data-testid="told"]', 'What was here is kept among the copies.');
            self::assertSame($entries - 1, $this->entries());
            $this->browser->seeText('[data-testid="copies"]', 'before a copy was brought back');
        }
    }

    public function test_builds_are_named_ordered_put_away_and_thrown_away_and_a_change_is_taken_back(): void
    {
        $this->keep();
        $this->browser->click('[aria-label="Rename Torsay"]');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'Torsay second go', WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="in-hand"]', 'Torsay second go');
        $this->browser->seeText('.edge-tabs', 'second');
        $this->browser->click('[aria-label="Torsay second go one place up"]');
        $this->browser->until(fn (): bool => array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'name')[2] === 'Torsay second go', 'it is not third');
        $this->browser->click('[aria-label="Put away Torsay second go"]');
        $this->browser->seeText('.edge', '1 away');
        $this->browser->click('[aria-label="Into the bin: Torsay second go"]');
        $this->browser->seeText('[data-testid="in-bin"]', 'gone on Thu 2 Apr 2026');
        $this->browser->click('[aria-label="Take back: Torsay second go, into the bin"]');
        $this->browser->seeText('[data-testid="put-away"]', 'Torsay second go');
        $this->browser->seeText('[data-testid="changes"]', 'taken back');
        self::assertSame(4, count($this->server->request('GET', '/api/frame')[1]['builds']));
    }

    public function test_twenty_builds_have_a_tab_and_the_others_are_not_forgotten(): void
    {
        for ($n = 0; $n < 18; $n++) {
            $last = $this->server->request('POST', '/api/builds/blank', ['name' => "Glider {$n}", 'scale' => 72])[1]['build']['id'];
        }
        $this->go('bench');
        $this->browser->seeText('.edge', '3 more');
        self::assertSame(20, $this->browser->count('.edge-tab'));
        $this->browser->driver->get($this->server->address()."/b/{$last}/kit");
        $this->browser->seeText('.edge-tab[aria-current]', 'Glider 1/72');
        self::assertSame(20, $this->browser->count('.edge-tab'));
        $this->browser->press('3 more');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="in-hand"] > li') === 23, 'they are not all in the list');
    }

    public function test_a_build_is_dragged_to_its_place(): void
    {
        $this->keep();
        $names = fn (): array => array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'name');
        $was = $names();
        $this->browser->script('const rows = document.querySelectorAll("[data-testid=in-hand] > li"); rows[3].querySelector(".keep-grip").dispatchEvent(new DragEvent("dragstart", {bubbles: true, dataTransfer: new DataTransfer()}))');
        $this->browser->see('.keep-row[data-dragged]');
        $this->browser->script('document.querySelectorAll("[data-testid=in-hand] > li")[0].dispatchEvent(new DragEvent("drop", {bubbles: true, cancelable: true, dataTransfer: new DataTransfer()}))');
        $this->browser->seeText('[data-testid="told"]', 'The tabs stand in this order.');

        self::assertSame([$was[3], $was[0], $was[1], $was[2], $was[4]], $names());
    }

    public function test_a_press_is_kept_while_the_disk_is_full_and_what_is_there_can_be_read(): void
    {
        $folder = dirname($this->server->database);
        $this->server->kill();
        $held = $folder.'.held';
        exec("cp -a {$folder} {$held} && mount -t tmpfs -o size=4m tmpfs {$folder} 2>&1 && cp -a {$held}/. {$folder}", $said, $code);
        exec("rm -rf {$held}");
        if ($code !== 0) {
            self::markTestSkipped('No disk of 4 MB can be made here: '.implode(' ', $said));
        }
        try {
            $this->server->start();
            $this->server->setClock(self::NOW);
            $this->go('bench');
            $this->browser->see('[data-testid="done"]');
            $entries = $this->entries();
            $fill = fopen($folder.'/fill', 'w');
            while ($fill !== false && @fwrite($fill, str_repeat('x', 4096)) === 4096) {
                continue;
            }
            if ($fill !== false) {
                fclose($fill);
            }
            self::assertSame([507, 'full'], $this->refusal('PUT', '/api/house', ['question' => 'wash', 'position' => null]));
            self::assertSame([507, 'full'], $this->refusal('POST', '/api/copies', []));
            self::assertSame([], glob($folder.'/backups/*'), 'nothing half is left');
            self::assertSame(200, $this->server->request('GET', "/api/builds/{$this->build}/plan")[0]);
            exec('mount -o remount,ro '.$folder, $said, $code);
            if ($code === 0) {
                self::assertSame([507, 'read-only'], $this->refusal('PUT', '/api/house', ['question' => 'wash', 'position' => null]));
                self::assertSame(200, $this->server->request('GET', "/api/builds/{$this->build}/surface")[0]);
                exec('mount -o remount,rw '.$folder);
            }
            $this->browser->keys(WebDriverKeys::ENTER);
            $this->browser->seeText('[data-testid="not-recorded"]', 'The disk is full.');
            unlink($folder.'/fill');
            $this->browser->until(fn (): bool => $this->browser->count('[data-testid="not-recorded"]') === 0, 'it is not sent');
            self::assertSame($entries + 1, $this->entries(), 'the press is in the log');
        } finally {
            $this->browser->driver->get('about:blank');
            $this->server->kill();
            exec('umount '.$folder);
        }
    }

    public function test_a_damaged_file_shows_the_copies_and_one_is_brought_back(): void
    {
        $this->server->request('POST', '/api/copies', []);
        $this->go('bench');
        $file = fopen($this->server->database, 'r+');
        self::assertNotFalse($file);
        (new PDO('sqlite:'.$this->server->database))->exec('pragma wal_checkpoint(truncate)');
        fwrite($file, str_repeat("\0damaged", 1000));
        fclose($file);
        self::assertSame([503, 'damaged'], $this->refusal('GET', "/api/builds/{$this->build}/bench"));
        $this->browser->driver->navigate()->refresh();
        $this->browser->seeText('h1', 'The file of the bench is damaged');
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Bring it back');
        $this->browser->see('.card');
        $this->browser->until(fn (): bool => $this->server->request('GET', "/api/builds/{$this->build}/bench")[0] === 200, 'it is not back');
        $this->browser->see('[data-testid="done"]');
    }

    public function test_a_build_that_cannot_be_read_says_so_and_the_others_go_on(): void
    {
        $name = 'Corvane S.4 Shearwater';
        (new PDO('sqlite:'.$this->server->database))->exec("update builds set kit = json_set(kit, '$.zone', 'Mars/Base'), revision = revision + 1 where id = '{$this->build}'");
        $this->browser->driver->get($this->server->address()."/b/{$this->build}/bench");
        $this->browser->seeText('.page', "{$name} cannot be read.");
        $this->browser->seeText('.page', 'give an IANA name such as Europe/Lisbon');
        self::assertSame(4, $this->browser->count('.edge-tab'));
        $this->browser->press('Cinder');
        $this->browser->see('[data-testid="step-title"]');
    }

    public function test_a_table_says_what_it_would_empty_before_it_does(): void
    {
        $this->go('kit');
        $this->browser->click('details.csv summary');
        $csv = dirname($this->server->database).'/shelf.csv';
        $grey = array_values(array_filter($this->server->request('GET', '/api/products')[1]['products'], static fn (array $p): bool => $p['name'] === 'Linnet Sea Grey'))[0];
        file_put_contents($csv, "id,name,levelMl,hue\n{$grey['id']},Linnet Sea Grey,,warm\n");
        $this->browser->driver->findElement(WebDriverBy::cssSelector('[aria-label="Shelf as CSV"]'))->sendKeys($csv);
        $this->browser->seeText('[data-testid="csv-asked"]', 'Linnet Sea Grey: levelMl will be empty.');
        $this->browser->seeText('[data-testid="csv-asked"]', 'Kept out: hue');
        $this->browser->press('Take it in');
        $this->browser->until(fn (): bool => array_column($this->server->request('GET', '/api/products')[1]['products'], 'levelMl', 'name')['Linnet Sea Grey'] === null, 'it is not taken in');
        self::assertSame(0, $this->browser->count('[data-testid="csv-asked"]'));
    }

    /** @return array{int, string|null} */
    private function refusal(string $method, string $path, ?array $body = null): array
    {
        [$status, $answer] = $this->server->request($method, $path, $body);

        return [$status, $answer['error']['kind'] ?? null];
    }

    private function keep(): void
    {
        $this->browser->driver->get($this->server->address().'/keep');
        $this->browser->see('[data-testid="in-hand"] li');
    }

    private function note(int $n): void
    {
        self::assertSame(201, $this->server->request('POST', "/api/builds/{$this->build}/events", ['id' => sprintf('01T0000000%016d', $n), 'kind' => 'note', 'at' => self::NOW, 'note' => 'After the copy'])[0]);
    }

    private function entries(): int
    {
        return array_column($this->server->request('GET', '/api/builds')[1]['builds'], 'events', 'id')[$this->build];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Csv\Csv;
use App\Models\Build;
use App\Models\Event;
use Illuminate\Testing\TestResponse;
use Tests\Support\AppTestCase;

final class DoorsTest extends AppTestCase
{
    /** @param  array<string, string>  $server */
    private function knock(string $method, string $path, array $server, string $content = ''): TestResponse
    {
        return $this->call($method, $path, [], [], [], $server, $content);
    }

    public function test_a_foreign_host_is_not_served(): void
    {
        foreach (['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example'] as $host) {
            self::assertSame(421, $this->knock('GET', "http://{$host}/api/frame", [])->getStatusCode(), $host);
        }
        foreach (['127.0.0.1', 'localhost', '[::1]', 'localhost:8087'] as $host) {
            self::assertSame(200, $this->knock('GET', "http://{$host}/api/health", [])->getStatusCode(), $host);
        }
    }

    public function test_a_foreign_page_cannot_write(): void
    {
        $note = (string) json_encode(['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'x']);
        $path = "/api/builds/{$this->buildId()}/events";
        $json = ['CONTENT_TYPE' => 'application/json'];
        self::assertSame(403, $this->knock('POST', $path, [...$json, 'HTTP_ORIGIN' => 'https://evil.example'], $note)->getStatusCode());
        self::assertSame(403, $this->knock('POST', $path, [...$json, 'HTTP_ORIGIN' => 'null'], $note)->getStatusCode());
        self::assertSame(403, $this->knock('POST', $path, [...$json, 'HTTP_SEC_FETCH_SITE' => 'cross-site'], $note)->getStatusCode());
        self::assertFalse(Event::query()->where('id', self::ulid(1))->exists());
        self::assertSame(201, $this->knock('POST', $path, [...$json, 'HTTP_ORIGIN' => 'http://127.0.0.1', 'HTTP_SEC_FETCH_SITE' => 'same-origin'], $note)->getStatusCode());
    }

    public function test_what_is_no_json_object_is_refused(): void
    {
        $path = "/api/builds/{$this->buildId()}/events";
        foreach ([[400, '{"id": '], [400, '[1]'], [400, '"x"'], [400, "{\"id\": \"\xC3\x28\"}"], [400, str_repeat('{"a":', 40).'1'.str_repeat('}', 40)], [413, '{"note": "'.str_repeat('x', 10 * 1024 * 1024).'"}']] as [$status, $body]) {
            self::assertSame($status, $this->knock('POST', $path, ['CONTENT_TYPE' => 'application/json'], $body)->getStatusCode(), substr($body, 0, 20));
        }
        self::assertSame(415, $this->knock('POST', $path, ['CONTENT_TYPE' => 'text/plain'], '{}')->getStatusCode());
    }

    public function test_every_answer_carries_the_headers_that_keep_others_out(): void
    {
        foreach (['/api/frame', '/api/nothing', '/'] as $path) {
            $response = $this->get($path);
            self::assertStringContainsString("frame-ancestors 'none'", (string) $response->headers->get('Content-Security-Policy'), $path);
            self::assertSame('nosniff', $response->headers->get('X-Content-Type-Options'));
            self::assertFalse($response->headers->has('Access-Control-Allow-Origin'));
            self::assertSame([], $response->headers->getCookies());
        }
    }

    public function test_what_is_not_there_says_so(): void
    {
        $this->get('/api/nothing')->assertNotFound()->assertJsonPath('error.message', 'There is nothing here.');
        $this->send('GET', '/api/builds/'.self::ulid(1).'/bench')->assertNotFound();
    }

    public function test_lines_have_a_length_and_a_number(): void
    {
        $id = $this->buildId();
        foreach ([[str_repeat("a, 1\n", 1001), 'has 1002 lines'], ["hull, 4\n".str_repeat('é', 2001), 'has 2001 characters in line 2']] as [$text, $wrong]) {
            $this->send('POST', "/api/builds/{$id}/lines/read", ['text' => $text])->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', $wrong);
        }
        $this->send('POST', "/api/builds/{$id}/lines/read", ['text' => str_repeat('é', 2000)])->assertOk();
    }

    public function test_an_entry_of_another_build_is_not_taken_for_ones_own(): void
    {
        $event = ['id' => self::ulid(41), 'kind' => 'note', 'at' => '2026-03-03T19:00:00Z', 'note' => 'dust in the corner'];
        [$one, $other] = Build::query()->orderBy('position')->limit(2)->pluck('id')->all();
        $this->send('POST', "/api/builds/{$one}/events", $event)->assertCreated();
        $this->send('POST', "/api/builds/{$one}/events", $event)->assertOk();
        $this->send('POST', "/api/builds/{$other}/events", $event)->assertConflict()->assertJsonPath('error.message', 'An entry of another build has this id.');
    }

    public function test_a_build_whose_name_has_no_letter_of_ours_is_exported_under_its_short_id(): void
    {
        $id = (string) $this->send('POST', '/api/builds/blank', ['name' => '飛行艇', 'scale' => 72])->json('build.id');

        self::assertStringContainsString('filename="'.strtolower(substr($id, -8)).'.amber.json"', (string) $this->get("/api/builds/{$id}/export")->headers->get('Content-Disposition'));
    }

    public function test_what_a_spreadsheet_would_take_for_a_formula_is_disarmed_after_white_space_too_and_comes_back(): void
    {
        $cells = ['=1+1', ' =1+1', "\u{00A0}x", "\t=1", '  @sum', ' -3', '-3', "'quoted", "' =1", ' both ', 'plain'];
        $written = Csv::write([$cells]);

        self::assertSame([$cells], Csv::read($written));
        foreach (['=1+1', ' =1+1', "\t=1", '  @sum'] as $formula) {
            self::assertStringContainsString("'{$formula}", $written);
        }
    }
}

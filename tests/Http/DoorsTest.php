<?php

declare(strict_types=1);

namespace Tests\Http;

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
}

<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Answers\Store;
use App\Clock\BenchClock;
use App\Demo\Demo;
use App\Models\Build;
use App\Repositories\Settings;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Testing\TestResponse;

/** The application with the demo in an empty database, at a frozen evening; every answer is held to the OpenAPI document. */
abstract class AppTestCase extends TestCase
{
    use RefreshDatabase;

    protected const NOW = '2026-03-03T19:05:00Z';

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // Each test has a database in memory of its own: what was kept for another's means nothing here.
        app(Store::class)->sweep();
        $this->at(self::NOW);
    }

    /** The demo is loaded once for a process; each test rolls back to it. */
    protected function migrateDatabases(): void
    {
        $this->artisan('migrate:fresh', $this->migrateFreshUsing());
        $this->at(self::NOW);
        app(Demo::class)->loadOnce();
    }

    protected function at(string $instant): void
    {
        app(Settings::class)->set(BenchClock::TESTING, ['epoch' => (int) strtotime($instant)]);
    }

    protected function buildId(): string
    {
        return (string) Build::query()->orderBy('position')->value('id');
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, string>  $headers
     */
    protected function send(string $method, string $path, ?array $body = null, array $headers = []): TestResponse
    {
        $server = $this->transformHeadersToServerVars($headers);
        $content = $body === null ? ($method === 'GET' ? null : '{}') : (string) json_encode($body === [] ? (object) [] : $body);
        if ($method !== 'GET') {
            $server['CONTENT_TYPE'] = 'application/json';
        }
        $response = $this->call($method, $path, [], [], [], $server, $content);
        self::assertNull(Contract::trouble($method, $path, $response->getStatusCode(), (string) $response->getContent()), "{$method} {$path}: ".$response->getStatusCode());
        if ($response->isSuccessful() && $body !== null) {
            self::assertNull(Contract::requestTrouble($method, $path, (string) $content));
        }

        return $response;
    }

    /** @return array<string, mixed> */
    protected function bench(int $minutes = 90): array
    {
        return $this->send('GET', "/api/builds/{$this->buildId()}/bench?minutes={$minutes}")->assertOk()->json();
    }

    /** @return array<string, mixed> */
    protected function planOf(string $id): array
    {
        return $this->send('GET', "/api/builds/{$id}/plan")->assertOk()->json();
    }

    /** @return array<string, mixed> */
    protected function plan(): array
    {
        return $this->send('GET', "/api/builds/{$this->buildId()}/plan")->assertOk()->json();
    }

    protected static function ulid(int $n): string
    {
        return sprintf('01T0000000%016d', $n);
    }
}

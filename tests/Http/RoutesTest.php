<?php

declare(strict_types=1);

namespace Tests\Http;

use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\Route;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\AppTestCase;

final class RoutesTest extends AppTestCase
{
    public function test_every_route_is_in_the_document_and_the_document_names_no_other(): void
    {
        $served = [];
        /** @var LaravelRoute $route */
        foreach (Route::getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/testing/clock') {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $served[] = $method.' /'.$route->uri();
                }
            }
        }
        $written = [];
        foreach (Yaml::parseFile(base_path('docs/api/openapi.yaml'))['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $method) {
                $written[] = strtoupper($method).' '.$path;
            }
        }

        self::assertEqualsCanonicalizing($written, $served);
    }

    public function test_the_page_is_served_for_every_station_and_carries_a_nonce_of_its_own(): void
    {
        $nonces = [];
        foreach (['/', "/b/{$this->buildId()}/bench", '/b/x/layers'] as $path) {
            $page = $this->get($path)->assertOk();
            self::assertSame(1, preg_match('/name="amber-nonce" content="([0-9a-f]{24})"/', (string) $page->getContent(), $m));
            self::assertStringContainsString("'nonce-{$m[1]}'", (string) $page->headers->get('Content-Security-Policy'));
            $nonces[] = $m[1];
        }

        self::assertSame($nonces, array_unique($nonces));
    }

    public function test_the_clock_can_be_set_in_the_testing_environment_alone(): void
    {
        $set = ['now' => '2026-03-04T10:00:00Z'];
        $this->postJson('/api/testing/clock', $set)->assertOk();
        self::assertSame('2026-03-04T10:00:00Z', $this->send('GET', '/api/frame')->json('now'));

        $routes = (string) file_get_contents(base_path('routes/api.php'));
        self::assertMatchesRegularExpression("/if \(app\(\)->environment\('testing'\) === true\) \{\s+Route::post\('testing\/clock'/", $routes);
    }
}

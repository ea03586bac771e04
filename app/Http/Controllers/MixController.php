<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Ratio;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Plan\Plan;
use App\Answers\Timetables;
use App\Answers\Used;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\Presenters\MixPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\ExperienceRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The mixing bench: what a colour of the build needs, what a recipe comes to, which ratio matches. */
final readonly class MixController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private Settings $settings, private ShelfRepository $shelf, private ExperienceRepository $experience, private RoomSource $rooms, private BenchClock $clock, private Answer $answer, private Timetables $timetables, private Used $used)
    {
    }

    public function show(string $build): Response
    {
        $page = $this->timetables->ask($build, 'mix')->answer->data();
        $recipes = is_array($page['recipes'] ?? null) ? $page['recipes'] : [];
        $used = $recipes === [] ? [] : $this->used->on();
        foreach ($recipes as $i => $recipe) {
            if (is_array($recipe)) {
                $recipes[$i]['usedOn'] = $used[$recipe['id'] ?? ''] ?? [];
            }
        }

        return $this->answer->json([...$page, 'recipes' => $recipes]);
    }

    /** @throws BadDocument at the field */
    public function compute(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $order = Order::read($request->json()->all());
        $now = $this->clock->epoch();
        $presenter = new MixPresenter($this->shelf->shelf(), $this->experience->all(), $this->settings->house()->with($loaded->kit->house), $this->rooms->room($now)->at($now)->temperatureC, $now, $loaded->kit->zone);

        return $this->answer->json($presenter->of($order, $loaded->kit->parts[0]->mouldedColour ?? null, $order->hardened === null ? [] : $this->sprayings($loaded)));
    }

    /**
     * Which jobs still fit before a hardened mix dies only the plan knows: asked once, while it is typed on.
     *
     * @return list<array{product: string, title: string, start: int, end: int}>
     */
    private function sprayings(LoadedBuild $build): array
    {
        /** @var list<array{product: string, title: string, start: int, end: int}> $steps */
        $steps = $this->timetables->ask($build->id, 'sprayings')->answer->data()['steps'] ?? [];

        return $steps;
    }

    /**
     * The best few whole ratios of two to four jars for a wanted colour.
     *
     * @throws BadDocument at the field
     */
    public function match(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $wanted = strtoupper($in->text('wanted', 7));
        $ids = $in->ids('jars', 4);
        $in->refuseTheRest();
        if (preg_match('/\A#[0-9A-F]{6}\z/', $wanted) !== 1) {
            $problems->add('wanted', 'is not a colour', 'write it as #7C96A3');
        }
        if (count(array_unique($ids)) < 2) {
            $problems->add('jars', 'are fewer than two', 'choose two to four paints');
        }
        $jars = [];
        foreach ($ids as $i => $id) {
            $product = $this->shelf->shelf()->find($id);
            if ($product?->swatch === null || $product->role !== Role::Colour) {
                $problems->add("jars[{$i}]", 'is no paint with a colour', 'choose solid colours of the shelf; metallics are never mixed by calculation');
            } else {
                $jars[] = $product;
            }
        }
        $problems->throwIfAny();
        if ($jars === []) {
            throw BadDocument::at('jars', 'are fewer than two', 'choose two to four paints');
        }
        $found = Ratio::matching(Srgb::fromHex($wanted)->lab(), array_map(static fn (Product $p): array => [$p->spectrum(), Coverage::strength($p), Coverage::scattering($p)], $jars));

        return $this->answer->json(['ratios' => array_map(static fn (Ratio $r): array => ['parts' => $r->parts, 'differs' => round($r->differs, 2), 'says' => $r->says(), 'hex' => $r->spectrum->map(static fn (float $v): float => KubelkaMunk::thick(KubelkaMunk::ks($v)))->srgb()->hex()], $found)]);
    }
}

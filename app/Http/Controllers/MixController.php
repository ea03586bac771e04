<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Ratio;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Counting;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Work\Operation;
use App\Build\Planner;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\AnswerCache;
use App\Http\Presenters\GroundPresenter;
use App\Http\Presenters\JarPresenter;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\MixPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\ExperienceRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use App\Repositories\UsedOn;
use App\Room\RoomSource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The mixing bench: what a colour of the build needs, what a recipe comes to, which ratio matches. */
final readonly class MixController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private Planner $planner, private ShelfRepository $shelf, private ExperienceRepository $experience, private RoomSource $rooms, private BenchClock $clock, private Answer $answer, private AnswerCache $cache)
    {
    }

    public function show(string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $plan = $this->planner->plan($loaded);
        $shelf = $plan->context->shelf;
        $jars = new JarPresenter($plan->nowEpoch, $loaded->kit->zone);
        $used = (new UsedOn)->all();

        return $this->answer->json([
            'build' => KitPresenter::name($loaded),
            'colours' => array_values(array_filter(array_map(static fn (Colour $c): ?array => self::colour($c, $plan, $shelf), $loaded->kit->colours), is_array(...))),
            'paints' => array_values(array_map($jars->paint(...), array_filter($shelf->products, static fn (Product $p): bool => in_array($p->role, [Role::Colour, Role::Metallic, Role::TintedClear, Role::Primer, Role::Varnish], true)))),
            'recipes' => array_values(array_filter(array_map(static fn (Product $p): ?array => $jars->recipe($p, $used[$p->id] ?? []), $shelf->products), is_array(...))),
            'temperatureC' => round($this->rooms->room($this->clock->epoch())->at($this->clock->epoch())->temperatureC, 1),
        ]);
    }

    /** @throws BadDocument at the field */
    public function compute(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $order = Order::read($request->json()->all());
        $now = $this->clock->epoch();
        $presenter = new MixPresenter($this->shelf->shelf(), $this->experience->all(), $this->planner->house($loaded), $this->rooms->room($now)->at($now)->temperatureC, $now, $loaded->kit->zone);

        return $this->answer->json($presenter->of($order, $loaded->kit->parts[0]->mouldedColour ?? null, $order->hardened === null ? [] : $this->sprayings($loaded)));
    }

    /**
     * Which jobs still fit before a hardened mix dies only the plan knows: asked once, while it is typed on.
     *
     * @return list<array{product: string, title: string, start: int, end: int}>
     */
    private function sprayings(LoadedBuild $build): array
    {
        $kept = json_decode($this->cache->remember("sprayings/{$build->id}", fn (): array => ['steps' => MixPresenter::sprayings($this->planner->plan($build))]), true);
        /** @var list<array{product: string, title: string, start: int, end: int}> $steps */
        $steps = is_array($kept) && is_array($kept['steps'] ?? null) ? $kept['steps'] : [];

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

    /** @return array<string, mixed>|null null where no paint is there to be mixed */
    private static function colour(Colour $colour, Plan $plan, Shelf $shelf): ?array
    {
        $product = $shelf->find($colour->product);
        $areas = array_values(array_filter($plan->context->kit->areas, static fn (Area $a): bool => $a->intent->colour === $colour->id && $a->isPainted()));
        if ($product === null) {
            return null;
        }
        $grounds = array_slice(GroundPresenter::ofColour($colour->id, $plan), 0, 4);
        $coats = 0.0;
        foreach ($plan->left as $planned) {
            if ($planned->step->operation === Operation::Colour && $planned->step->counted() === $colour->id && ! $planned->step->isRemedy()) {
                $coats = max($coats, self::upTo($planned->step->n, $plan, $colour->id));
            }
        }

        return [
            'id' => $colour->id, 'name' => $colour->name, 'product' => $product->id, 'swatch' => $product->swatch,
            'cm2' => round(array_sum(array_map(static fn (Area $a): float => $a->cm2(), $areas)), 1),
            'counted' => ['counts' => round($counts = array_sum(array_map(static fn (Area $a): float => Counting::counts($plan->context->kit, $a->id), $areas)), 1), 'cm2' => round($counts * Size::CM2_PER_COUNT, 1), 'chosen' => $plan->context->house->says('estimate', 'count')],
            'grounds' => array_map(static fn (string $name, string $hex): array => ['name' => $name, 'hex' => $hex], array_keys($grounds), $grounds),
            'areas' => array_map(static fn (Area $a): string => $a->name, $areas),
            'coats' => $coats === 0.0 ? 2.5 : $coats, 'left' => $coats > 0,
        ];
    }

    /** Reference coats that are left: a mist counts half. */
    private static function upTo(int $n, Plan $plan, string $colour): float
    {
        $coats = 0.0;
        $told = [];
        foreach ($plan->left as $planned) {
            $step = $planned->step;
            if ($step->operation === Operation::Colour && $step->counted() === $colour && ! $step->isRemedy() && $step->n <= $n && ! isset($told[$step->n])) {
                $told[$step->n] = true;
                $coats += $step->coatKind?->filmMicrons(1.0) ?? 1.0;
            }
        }

        return $coats;
    }
}

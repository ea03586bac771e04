<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\SpoonReading;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Blend;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Mixing\Remade;
use AmberStep\Core\Mixing\SpoonFit;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A spoon is read back: how it looked beside the prediction, and what that says of the paint. */
final readonly class SpoonController
{
    public function __construct(private ShelfRepository $shelf, private BenchClock $clock, private Answer $answer)
    {
    }

    /** @throws BadDocument at the field */
    public function read(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $paints = array_values(array_filter($in->each('paints', fn (Reader $p): ?array => $this->paint($p), 8)));
        $coats = Order::optional($in, 'coats', 0, 12, 'give the coats on the spoon, such as 2; a mist is a half');
        $which = $in->optionalId('which');
        $keep = $in->flag('keep');
        if ($paints === []) {
            $problems->add('paints', 'are empty', 'choose the paint or the mix that was sprayed');
            $problems->throwIfAny();
        }
        $blend = new Blend($paints === [] ? throw new \LogicException('thrown above') : $paints);
        $refused = $blend->refuses();
        if ($refused !== null) {
            $problems->add('paints', $refused, 'read a solid colour back');
        }
        if (trim($in->optionalText('coats', 40) ?? '') === '') {
            $problems->add('coats', 'are missing', 'give the coats on the spoon, such as 2');
        }
        $coats ??= 1.0;
        $readings = $in->each('readings', static fn (Reader $r): SpoonReading => self::reading($r, $blend, $coats), 4);
        $in->refuseTheRest();
        if ($readings === []) {
            $problems->add('readings', 'are empty', 'say how it looked over at least one ground');
        }
        $problems->throwIfAny();
        if ($readings === []) {
            throw BadDocument::at('readings', 'are empty', 'say how it looked over at least one ground');
        }
        if (count($paints) === 1) {
            $product = $paints[0][0];
            [$field, $was] = ['scatters', Coverage::scattering($product)];
            [$is, $left] = SpoonFit::hiding($blend->thick, $coats, $readings);
        } else {
            [$product, $is, $left] = SpoonFit::strongest($paints, $which, $coats, $readings) ?? throw BadDocument::at('which', 'is not in the mix', 'choose one of its paints');
            [$field, $was] = ['strength', Coverage::strength($product)];
        }
        $note = $field === 'scatters'
            ? sprintf('hides %s its %s (S %.2f, was %.2f)', self::than($is, $was), $product->optics === null ? 'class' : 'last spoon', $is, $was)
            : sprintf('tints %s before (strength %.2f, was %.2f)', self::than($is, $was), $is, $was);
        $recipes = [];
        if ($keep) {
            $optics = ['scatters' => round($field === 'scatters' ? $is : Coverage::scattering($product), 4), 'strength' => round($field === 'strength' ? $is : Coverage::strength($product), 4), 'spoon' => Instant::format($this->clock->epoch()), 'note' => $note];
            $recipes = Remade::after($product, $product->with(['optics' => $optics]), $this->shelf->shelf());
            $this->shelf->change(static fn (Shelf $shelf): array => [($shelf->find($product->id) ?? $product)->with(['optics' => $optics])]);
        }
        $anew = $recipes === [] ? '' : ' What is mixed from it is predicted anew: '.Names::listed(array_map(static fn (Product $p): string => $p->name, $recipes)).'.';

        return $this->answer->json(['product' => $product->id, 'says' => ucfirst($product->name).' '.$note.'; what was seen and what is now predicted differ by ΔE '.sprintf('%.1f', $left).'.'.$anew, 'was' => round($was, 3), 'is' => round($is, 3), 'kept' => $keep, 'predicted' => self::predicted($blend, $coats, $readings)]);
    }

    /** @return array{Product, float}|null */
    private function paint(Reader $p): ?array
    {
        [$id, $ml] = [$p->id('product'), $p->number('ml', 0.0001, 1000)];
        $p->refuseTheRest();
        $product = $this->shelf->shelf()->find($id);
        if ($product?->swatch === null) {
            $p->problems->add($p->path('product'), 'is no paint with a colour', 'choose a paint of the shelf');

            return null;
        }

        return [$product, $ml];
    }

    private static function reading(Reader $r, Blend $blend, float $coats): SpoonReading
    {
        $hex = static function (string $field) use ($r): ?string {
            $text = $r->optionalText($field, 7);
            if ($text !== null && $text !== '' && preg_match('/\A#[0-9A-Fa-f]{6}\z/', $text) !== 1) {
                $r->problems->add($r->path($field), 'is not a colour', 'write it as #7C96A3');
            }

            return $text !== null && preg_match('/\A#[0-9A-Fa-f]{6}\z/', $text) === 1 ? strtoupper($text) : null;
        };
        $ground = Spectrum::of($hex('ground') ?? '#808080');
        [$patch, $card] = [$hex('patch'), $hex('card')];
        [$lighter, $warmer] = [$r->number('lighter', -SpoonReading::MOST_STEPS, SpoonReading::MOST_STEPS, 0.0), $r->number('warmer', -SpoonReading::MOST_STEPS, SpoonReading::MOST_STEPS, 0.0)];
        $r->refuseTheRest();

        return $patch !== null && $card !== null
            ? SpoonReading::photographed($ground, Srgb::fromHex($patch), Srgb::fromHex($card))
            : SpoonReading::beside($ground, $blend->after($coats, $ground)->lab(), $lighter, $warmer);
    }

    private static function than(float $is, float $was): string
    {
        return abs($is / $was - 1) < 0.03 ? 'as' : ($is > $was ? 'better than' : 'less than');
    }

    /**
     * @param  non-empty-list<SpoonReading>  $readings
     * @return list<array{ground: string, hex: string}> what was predicted over each ground: the patch it is held beside
     */
    private static function predicted(Blend $blend, float $coats, array $readings): array
    {
        return array_map(static fn (SpoonReading $r): array => ['ground' => $r->ground->srgb()->hex(), 'hex' => Blend::seen($blend->after($coats, $r->ground), $blend->paints[0][0]->sheen)->srgb()->hex()], $readings);
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** What is laid out for a session: paints with the ml that are mixed, guns as they are set, and what is worked with besides. */
final class LayOut
{
    /** A coat that comes before any mixing of its paint: there is some in the gun still. */
    private const MIXED = 'mixed already';

    private const TOOLS = [
        'wash' => 'Basin, soap, clean water and a cloth without lint', 'wipe' => 'Damp cloth and the blower', 'mount' => 'Holders and clips',
        'abrade' => 'Sanding grits', 'flat' => 'Sanding grits', 'cut-back' => 'Sanding grits and a blade', 'check-seam' => 'Sanding grits', 'polish' => 'Polishing grits and compound',
        'rescribe' => 'Scriber and a guide', 'score' => 'A fresh blade', 'decal' => 'Decals, water and setting solution', 'scrape' => 'A blade to scrape with',
        'touch-up' => 'Sprue cutter and a fine brush', 'soften' => 'Warm water', 'trim' => 'A fresh blade', 'inspect' => 'Raking light', 'look' => 'Raking light', 'photograph' => 'Camera and a plain ground',
        'rinse' => 'Cleaner and a pot to spray it into', 'strip' => 'Cleaner and a pot to spray it into', 'cabinet' => 'The place it dries in, warmed up',
    ];

    /** @var array<string, LaidOut> paints, by product */
    private array $paints = [];

    /** @var array<string, LaidOut> guns, glues, masks and tools, by what they are */
    private array $things = [];

    public function add(Step $step, Context $context): void
    {
        $product = $step->product;
        if ($product !== null && ! in_array($step->operation, [Operation::Rinse, Operation::Strip, Operation::Discard], true)) {
            $this->paints[$product->id] = ($this->paints[$product->id] ?? new LaidOut($product->name, $step->isSprayed() && $step->cup === null ? ($product->family === Family::Aerosol ? 'from the can' : self::MIXED) : '', $product->swatch))->more($step->cup?->measuredMl());
        }
        $setUp = SetUp::of($step, $context->kit, $context->house, $context->experience->uses);
        if ($setUp !== null && $setUp->nozzleMm !== null && $setUp->pressureBar !== null) {
            $this->thing(sprintf('Gun with %s mm', $setUp->nozzleMm), sprintf('%.1f bar, %s', $setUp->pressureBar, $setUp->thinner));
        }
        $place = Place::find($step->placeId ?? $step->jointId ?? '', $context->kit);
        $joint = $context->kit->jointsById[$step->jointId ?? ''] ?? null;
        match ($step->operation) {
            Operation::Glue, Operation::Attach => $joint === null ? null : $this->thing(ucfirst($joint->glue->word())),
            Operation::Fill => $place === null ? null : $this->thing(ucfirst($place->filler()->word())),
            Operation::Mask, Operation::MaskFaces => $step->medium === null ? null : $this->thing(ucfirst($step->medium->word())),
            default => isset(self::TOOLS[$step->operation->value]) ? $this->thing(self::TOOLS[$step->operation->value]) : null,
        };
    }

    /** @return list<LaidOut> paints first */
    public function all(): array
    {
        ksort($this->things);

        return [...array_values($this->paints), ...array_values($this->things)];
    }

    private function thing(string $name, string $with = ''): void
    {
        $this->things[$name.$with] ??= new LaidOut($name, $with);
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Closed;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Fit;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** What the break-down proposes for one joint: when it is closed and why, with which glue, how it is aligned, what stays bare. */
final readonly class JointAdvice
{
    /** cm: a joint this long is banded along its length. */
    private const LONG_CM = 5;

    /**
     * @param  bool  $decided  the user said when it is closed
     * @param  Glue|null  $better  a glue that will do, where the one chosen will not
     * @param  list<string>  $align  sentences
     * @param  list<string>  $bare  sentences: which faces stay bare, and how
     * @param  string|null  $fit  why it is glued before others the booklet would allow first
     */
    private function __construct(
        public Joint $joint,
        public bool $beforePaint,
        public bool $decided,
        public string $because,
        public ?int $step,
        public ?Glue $better,
        public string $betterBecause,
        public array $align,
        public array $bare,
        public ?string $fit,
    ) {
    }

    public static function of(Joint $joint, Context $context): self
    {
        [$a, $b] = [$context->kit->partsById[$joint->parts[0]]->substrate, $context->kit->partsById[$joint->parts[1]]->substrate];
        [$better, $why] = GlueChoice::for($a, $b, $joint->carriesLoad, $joint->removable, $joint->isSeam());
        $better = GlueChoice::fits($joint->glue, $a, $b, $joint->carriesLoad, $joint->removable) ? null : $better;
        $before = $context->breakdown->closesBeforePaint($joint->id);

        return new self($joint, $before, $joint->closed !== Closed::Undecided, $context->breakdown->reason($joint->id), $joint->stepIn($context->kit), $better, $why, self::align($joint), self::bare($joint, $before, $context), self::fit($joint, $context));
    }

    /** @return list<string> */
    private static function align(Joint $joint): array
    {
        $long = $joint->lengthCm >= self::LONG_CM;

        return [
            match (true) {
                $joint->pins && $long => 'Its pins align it; tape bands every 3 cm, off the line.',
                $joint->pins => 'Its pins align it.',
                $long => 'No pins: tabs of card inside along one side, then tape bands every 3 cm, off the line.',
                $joint->carriesLoad => 'No pins: drill and pin it with wire, hold it in a jig until it has set.',
                default => 'No pins: hold it against a square block until it has set.',
            },
            ...($joint->bestSide !== null ? ["If both sides cannot be perfect: {$joint->bestSide}."] : ($joint->gapMm >= Fit::POOR_MM ? ['It does not fit on its own: choose the side that is seen, and make that one perfect.'] : [])),
        ];
    }

    private static function fit(Joint $joint, Context $context): ?string
    {
        $waiting = Fit::waiting($joint, $context);

        return $waiting === [] || $context->surface->joint($joint->id)->closedAt !== null ? null : sprintf('It %s: glued before %s, while both its sides can still be reached.', Fit::words($joint), Names::listed(array_map(static fn (Joint $j): string => $j->name, $waiting)));
    }

    /** @return list<string> */
    private static function bare(Joint $joint, bool $before, Context $context): array
    {
        if ($before) {
            return [];
        }
        $plugged = array_filter($context->steps->with(Operation::MaskFaces), static fn (Step $s): bool => $s->counted() === $joint->id) !== [];
        $scraped = array_filter($context->steps->with(Operation::Scrape), static fn (Step $s): bool => $s->counted() === $joint->id) !== [];

        return match (true) {
            $scraped => ['Its faces are painted: scraped bare before glue.'],
            $plugged => ['Both faces stay bare: plugged or taped before primer.'],
            default => [ucfirst($joint->glue->word()).' takes hold on the paint: no face needs to stay bare.'],
        };
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Rule\Bench\CleanGear;
use AmberStep\Core\Rule\Bench\HandleFirst;
use AmberStep\Core\Rule\Bench\NotBeforeTime;
use AmberStep\Core\Rule\Bench\StateFirst;
use AmberStep\Core\Rule\Bench\TooEarly;
use AmberStep\Core\Rule\Bench\TouchDry;
use AmberStep\Core\Rule\Bench\TradeOrder;
use AmberStep\Core\Rule\Bench\UserOrder;
use AmberStep\Core\Rule\Finish\AcrylicWashStays;
use AmberStep\Core\Rule\Finish\BarrierBeforeWash;
use AmberStep\Core\Rule\Finish\BurnThrough;
use AmberStep\Core\Rule\Finish\ClearThenWait;
use AmberStep\Core\Rule\Finish\DecalDry;
use AmberStep\Core\Rule\Finish\GlossBeforeDecal;
use AmberStep\Core\Rule\Finish\SealDecals;
use AmberStep\Core\Rule\Finish\WashFlowsOnGloss;
use AmberStep\Core\Rule\Glue\Ballast;
use AmberStep\Core\Rule\Glue\BlockedByAssembly;
use AmberStep\Core\Rule\Glue\BookletOrder;
use AmberStep\Core\Rule\Glue\ClearNoFog;
use AmberStep\Core\Rule\Glue\FitFirst;
use AmberStep\Core\Rule\Glue\FragileLast;
use AmberStep\Core\Rule\Glue\GlueFits;
use AmberStep\Core\Rule\Glue\GlueSet;
use AmberStep\Core\Rule\Glue\HandedPart;
use AmberStep\Core\Rule\Glue\HiddenLight;
use AmberStep\Core\Rule\Glue\JointFacesBare;
use AmberStep\Core\Rule\Glue\VinylStuffed;
use AmberStep\Core\Rule\Mask\ClearGlueThenMask;
use AmberStep\Core\Rule\Mask\EdgeFitsScale;
use AmberStep\Core\Rule\Mask\MaskInHeat;
use AmberStep\Core\Rule\Mask\MaskReacts;
use AmberStep\Core\Rule\Mask\PanesLast;
use AmberStep\Core\Rule\Mask\TapeOverstays;
use AmberStep\Core\Rule\Mask\TapeSafe;
use AmberStep\Core\Rule\Mask\Uncovered;
use AmberStep\Core\Rule\Mask\UnmaskWhen;
use AmberStep\Core\Rule\Paint\AmountsContradict;
use AmberStep\Core\Rule\Paint\BottleMixed;
use AmberStep\Core\Rule\Paint\ClearInsideFirst;
use AmberStep\Core\Rule\Paint\CoarsePrimerCut;
use AmberStep\Core\Rule\Paint\EnamelWindow;
use AmberStep\Core\Rule\Paint\FilmBudget;
use AmberStep\Core\Rule\Paint\FirstCoatMist;
use AmberStep\Core\Rule\Paint\FixRunsHard;
use AmberStep\Core\Rule\Paint\FlashOff;
use AmberStep\Core\Rule\Paint\ForgottenPart;
use AmberStep\Core\Rule\Paint\GroundShows;
use AmberStep\Core\Rule\Paint\InspectBetween;
use AmberStep\Core\Rule\Paint\LateThinner;
use AmberStep\Core\Rule\Paint\LightThenDark;
use AmberStep\Core\Rule\Paint\MetallicNoFlood;
use AmberStep\Core\Rule\Paint\MetalNeedsKey;
use AmberStep\Core\Rule\Paint\OnePassOneCup;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Rule\Paint\PlasticBleeds;
use AmberStep\Core\Rule\Paint\PotLife;
use AmberStep\Core\Rule\Paint\PreshadeShows;
use AmberStep\Core\Rule\Paint\PrimerOnColouredPlastic;
use AmberStep\Core\Rule\Paint\Reserve;
use AmberStep\Core\Rule\Paint\SameColourTogether;
use AmberStep\Core\Rule\Paint\SlickSheetNeedsBite;
use AmberStep\Core\Rule\Paint\SoftVinyl;
use AmberStep\Core\Rule\Paint\SolventAttack;
use AmberStep\Core\Rule\Paint\TestFirst;
use AmberStep\Core\Rule\Paint\TestOnTheRightSurface;
use AmberStep\Core\Rule\Paint\ThinnerFits;
use AmberStep\Core\Rule\Paint\TwoReadings;
use AmberStep\Core\Rule\Paint\VinylTouches;
use AmberStep\Core\Rule\Paint\WashDryBeforePaint;
use AmberStep\Core\Rule\Paint\WipeStrips;
use AmberStep\Core\Rule\Room\Dust;
use AmberStep\Core\Rule\Room\HeatLimit;
use AmberStep\Core\Rule\Room\RoomFit;
use AmberStep\Core\Rule\Seam\FeaturesDone;
use AmberStep\Core\Rule\Seam\FillerSet;
use AmberStep\Core\Rule\Seam\Halo;
use AmberStep\Core\Rule\Seam\PorousFillerSealed;
use AmberStep\Core\Rule\Seam\RealDetail;
use AmberStep\Core\Rule\Seam\SeamBeforePaint;
use AmberStep\Core\Rule\Show\OptionParts;
use AmberStep\Core\Rule\Show\ShowRuleOrder;

/** All rules. Their order here means nothing: no result depends on it. */
final readonly class RuleBook
{
    /** @var list<OrdersSteps> */
    public array $orders;

    /** @var list<OrdersHolds> */
    public array $holds;

    /** @var list<Judges> */
    public array $judges;

    /** @param  list<Rule>  $rules */
    public function __construct(public array $rules)
    {
        $this->orders = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersSteps));
        $this->holds = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersHolds));
        $this->judges = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof Judges));
    }

    public static function ofTheTrade(): self
    {
        return new self([
            new Ballast, new BookletOrder, new CleanGear, new ClearNoFog, new FitFirst, new ForgottenPart, new GlueFits, new GroundShows, new HandedPart, new HandleFirst, new OptionParts, new ShowRuleOrder, new VinylStuffed,
            new AmountsContradict, new BottleMixed, new BurnThrough, new FeaturesDone, new Halo, new LateThinner, new MetallicNoFlood, new OnePassOneCup, new PorousFillerSealed, new PotLife, new RealDetail, new Reserve, new TwoReadings,
            new AcrylicWashStays, new CoarsePrimerCut, new Dust, new EdgeFitsScale, new FillerSet, new FilmBudget, new FirstCoatMist, new FixRunsHard,
            new HiddenLight, new MaskInHeat, new MaskReacts, new PaintGunClean, new PlasticBleeds, new PreshadeShows,
            new PrimerOnColouredPlastic, new TestFirst, new TestOnTheRightSurface, new ThinnerFits, new VinylTouches,
            new BarrierBeforeWash, new BlockedByAssembly, new ClearGlueThenMask, new ClearInsideFirst, new ClearThenWait,
            new DecalDry, new EnamelWindow, new FlashOff, new FragileLast, new GlossBeforeDecal, new GlueSet, new HeatLimit,
            new InspectBetween, new JointFacesBare, new LightThenDark, new MetalNeedsKey, new NotBeforeTime, new PanesLast,
            new RoomFit, new SameColourTogether, new SealDecals, new SeamBeforePaint, new SlickSheetNeedsBite, new SoftVinyl,
            new SolventAttack, new StateFirst, new TapeOverstays, new TapeSafe, new TooEarly, new TouchDry, new TradeOrder,
            new Uncovered, new UnmaskWhen, new UserOrder, new WashDryBeforePaint, new WashFlowsOnGloss, new WipeStrips,
        ]);
    }
}

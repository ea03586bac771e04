<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

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

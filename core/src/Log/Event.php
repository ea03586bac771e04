<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** What physically happened, when, to what, with what. Never changed; taken back by another event. */
final readonly class Event
{
    /**
     * @param  int  $atEpoch  when it happened, epoch seconds UTC
     * @param  int  $recordedEpoch  when it was written down
     * @param  list<string>  $targets  areas, joints or pieces
     * @param  string  $purpose  the colour, mask, fault or round it was for; empty where nobody said
     * @param  float|null  $filmMicrons  dry film; null: by coat kind
     * @param  float|null  $humidity  0 to 1
     * @param  string|null  $stepKey  the step it answered; null: off plan
     * @param  bool  $blownOff  washed and blown off: dry after 4 h instead of 24
     * @param  bool  $hardened  enamel that had its hardener in it
     * @param  float|null  $minutes  hands-on minutes it took, where somebody looked at the clock
     * @param  float|null  $predictedMl  of mix, as worked out before
     * @param  float|null  $usedMl  of mix, as it turned out
     * @param  float|null  $nozzleMm  of the gun it went through
     * @param  list<float>  $poured  ml of each part of the product's recipe, as it went in
     * @param  string|null  $place  slot or hand a part was fitted in
     */
    public function __construct(
        public string $id,
        public EventKind $kind,
        public int $atEpoch,
        public int $recordedEpoch,
        public array $targets = [],
        public ?Operation $operation = null,
        public string $purpose = '',
        public ?string $product = null,
        public ?CoatKind $coatKind = null,
        public ?float $filmMicrons = null,
        public ?Medium $medium = null,
        public ?Glue $glue = null,
        public ?Filler $filler = null,
        public ?Liquid $wipe = null,
        public ?Fault $fault = null,
        public ?Verdict $verdict = null,
        public ?HoldKind $wait = null,
        public ?int $found = null,
        public ?float $temperatureC = null,
        public ?float $humidity = null,
        public ?float $cabinetC = null,
        public ?float $potLifeMinutes = null,
        public bool $blownOff = false,
        public bool $hardened = false,
        public ?string $place = null,
        public ?string $takesBack = null,
        public ?string $stepKey = null,
        public ?string $note = null,
        public ?float $minutes = null,
        public ?float $predictedMl = null,
        public ?float $usedMl = null,
        public ?float $nozzleMm = null,
        public array $poured = [],
    ) {
    }

    public static function read(Reader $in): self
    {
        $found = $in->optionalNumber('found', 0, 10000);
        $event = new self(
            $in->id('id'),
            $in->oneOf('kind', EventKind::class, EventKind::Note),
            $in->instant('at'),
            $in->optionalInstant('recorded') ?? 0,
            $in->ids('targets'),
            $in->optionalOneOf('operation', Operation::class),
            $in->optionalText('purpose', 80) ?? '',
            $in->optionalId('product'),
            $in->optionalOneOf('coatKind', CoatKind::class),
            $in->optionalNumber('filmMicrons', 0, 1000),
            $in->optionalOneOf('medium', Medium::class),
            $in->optionalOneOf('glue', Glue::class),
            $in->optionalOneOf('filler', Filler::class),
            $in->optionalOneOf('wipe', Liquid::class),
            $in->optionalOneOf('fault', Fault::class),
            $in->optionalOneOf('verdict', Verdict::class),
            $in->optionalOneOf('wait', HoldKind::class),
            $found === null ? null : (int) $found,
            $in->optionalNumber('temperatureC', -30, 80),
            $in->optionalNumber('humidity', 0, 1),
            $in->optionalNumber('cabinetC', 0, 150),
            $in->optionalNumber('potLifeMinutes', 1, 100000),
            $in->flag('blownOff'),
            $in->flag('hardened'),
            $in->optionalText('place', 80),
            $in->optionalId('takesBack'),
            $in->optionalText('stepKey', 200),
            $in->optionalText('note', 2000),
            $in->optionalNumber('minutes', 0.5, 600),
            $in->optionalNumber('predictedMl', 0.01, 1000),
            $in->optionalNumber('usedMl', 0.01, 1000),
            $in->optionalNumber('nozzleMm', 0.1, 2),
            $in->numbers('poured', 0, 1000, 8),
        );
        $in->refuseTheRest();
        self::demand($event, $in);

        return $event;
    }

    /** @throws BadDocument */
    public static function fromArray(mixed $data): self
    {
        $problems = new Problems;
        $event = self::read(Reader::of($data, '', $problems));
        $problems->throwIfAny();

        return $event;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->kind->value, 'at' => Instant::format($this->atEpoch), 'recorded' => Instant::format($this->recordedEpoch),
            'targets' => $this->targets, 'operation' => $this->operation?->value, 'purpose' => $this->purpose, 'product' => $this->product,
            'coatKind' => $this->coatKind?->value, 'filmMicrons' => $this->filmMicrons, 'medium' => $this->medium?->value, 'glue' => $this->glue?->value,
            'filler' => $this->filler?->value, 'wipe' => $this->wipe?->value, 'fault' => $this->fault?->value, 'verdict' => $this->verdict?->value,
            'wait' => $this->wait?->value, 'found' => $this->found, 'temperatureC' => $this->temperatureC, 'humidity' => $this->humidity,
            'cabinetC' => $this->cabinetC, 'potLifeMinutes' => $this->potLifeMinutes, 'blownOff' => $this->blownOff, 'hardened' => $this->hardened, 'place' => $this->place,
            'takesBack' => $this->takesBack, 'stepKey' => $this->stepKey, 'note' => $this->note, 'minutes' => $this->minutes,
            'predictedMl' => $this->predictedMl, 'usedMl' => $this->usedMl, 'nozzleMm' => $this->nozzleMm,
            'poured' => $this->poured,
        ];
    }

    /** The fold's order: when it happened, then when it was written down, then id. */
    public static function inOrder(self $a, self $b): int
    {
        return [$a->atEpoch, $a->recordedEpoch, $a->id] <=> [$b->atEpoch, $b->recordedEpoch, $b->id];
    }

    /** Each kind has to say certain things, or it means nothing. */
    private static function demand(self $event, Reader $in): void
    {
        $missing = match ($event->kind) {
            EventKind::Done => $event->operation === null ? ['operation', 'say what was done, such as "colour" or "wash"'] : ($event->targets === [] ? ['targets', 'name the areas or the joint'] : null),
            EventKind::MaskOn, EventKind::MaskOff, EventKind::Glued, EventKind::OutOfCabinet => $event->targets === [] ? ['targets', 'name the areas or the joint'] : null,
            EventKind::IntoCabinet => $event->cabinetC === null ? ['cabinetC', 'give the temperature of the cabinet in °C'] : null,
            EventKind::Fault => $event->fault === null ? ['fault', 'name the fault'] : ($event->targets === [] ? ['targets', 'name the areas'] : null),
            EventKind::Verdict => match (true) {
                $event->verdict === null => ['verdict', 'say soft, fine, clean, found, or what the place needs'],
                $event->verdict->isOfPlace() && $event->targets === [] => ['targets', 'name the joint or the flaw'],
                $event->verdict === Verdict::Accept && trim($event->note ?? '') === '' => ['note', 'give the reason it is accepted'],
                default => null,
            },
            EventKind::Reading => $event->temperatureC === null || $event->humidity === null ? ['temperatureC', 'give temperatureC in °C and humidity from 0 to 1'] : null,
            EventKind::TakeBack => $event->takesBack === null ? ['takesBack', 'give the id of the event taken back'] : null,
            EventKind::Mixed => $event->product === null ? ['product', 'give the id of the product mixed'] : null,
            EventKind::Ticked => $event->targets === [] || $event->purpose === '' ? ['targets', 'name the line of the list, and its colour as the purpose'] : null,
            EventKind::Fitted => $event->targets === [] ? ['targets', 'name the part'] : null,
            EventKind::Note => $event->note === null ? ['note', 'write the note'] : null,
        };
        if ($missing !== null) {
            $in->problems->add($in->path($missing[0]), 'is missing for an event of kind "'.$event->kind->value.'"', $missing[1]);
        }
        if ($event->kind === EventKind::Done && $event->operation?->leavesLayer() === true && $event->product === null) {
            $in->problems->add($in->path('product'), 'is missing for a coat', 'give the id of the product that was laid');
        }
    }
}

<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Medium;

/** Why a mask is made of what it is, and what would do next best (handbook 2 and 7, Laying and lifting). */
final readonly class MediumAdvice
{
    /** Without a full stop. */
    public string $why;

    /** @var array{Medium, string}|null and why it comes second */
    public ?array $runnerUp;

    /**
     * @param  list<Edge>  $edges  along the mask
     * @param  bool  $isChosen  the user took it
     */
    public function __construct(public Medium $medium, array $edges, string $purpose, HouseRules $house, bool $isChosen = false)
    {
        $soft = array_filter($edges, static fn (Edge $e): bool => $e->kind !== EdgeKind::Hard);
        $tight = array_filter($edges, static fn (Edge $e): bool => $e->kind === EdgeKind::Hard && in_array($e->curve, [Curve::Compound, Curve::Fiddly], true));
        $this->why = $isChosen ? 'You took it' : self::because($medium, $soft, $tight, $purpose, $house);
        $this->runnerUp = self::second($medium, $soft !== [], $tight !== [], $purpose);
    }

    /**
     * @param  array<Edge>  $soft
     * @param  array<Edge>  $tight
     */
    private static function because(Medium $medium, array $soft, array $tight, string $purpose, HouseRules $house): string
    {

        return match (true) {
            $purpose === MaskFor::PANES => 'Film is cut along the moulding and stays for weeks without creeping',
            $purpose === MaskFor::BARE => 'It stays on from the first coat to the last, and tape leaves no mark on what has no paint',
            $medium === Medium::Putty => self::cm($soft).' of edge are soft: the roll stands off, and paint fades out under it',
            $medium === Medium::HeldCard => 'Soft edges are sprayed freehand here (house rule): a card keeps the cloud off the rest',
            $medium === Medium::CutFilm => $house->says('cover', 'film') ? 'One sheet over all of it, cut along the line on the model (house rule)' : 'It is cut to the line',
            $medium === Medium::VinylTape => self::cm($tight).' of edge turn in tight or double curves: it bends without lifting',
            $medium === Medium::LiquidMask => 'It follows any shape',
            $medium === Medium::PaperTape => $soft === [] ? 'The edge is hard and runs flat or gently bent: paper tape seals it in the least time' : 'Hard and soft edges run round one area: taped, the soft one comes out hard',
            default => 'It keeps the spray out',
        };
    }

    /** @param  array<Edge>  $edges */
    private static function cm(array $edges): string
    {
        return sprintf('%.0f cm', array_sum(array_map(static fn (Edge $e): float => $e->mm / 10, $edges)));
    }

    /** @return array{Medium, string}|null */
    private static function second(Medium $medium, bool $soft, bool $tight, string $purpose): ?array
    {
        return match (true) {
            $purpose === MaskFor::PANES => $medium === Medium::CutFilm ? [Medium::LiquidMask, 'no cutting to size, but three coats, an hour of drying, and scored before it is lifted'] : [Medium::CutFilm, 'it stays longest and comes off in one piece'],
            $purpose === MaskFor::BARE => [Medium::CutFilm, 'for a line that has to be cut'],
            $medium === Medium::Putty => [Medium::HeldCard, 'nothing to lay, but the edge wanders with the hand'],
            $medium === Medium::HeldCard => [Medium::Putty, 'the same width everywhere, 0.1 min a cm'],
            $medium === Medium::VinylTape => [Medium::CutFilm, 'cut to the line; on paint for a week instead of three days'],
            $medium === Medium::CutFilm => $tight ? [Medium::VinylTape, 'bends round what film creases on; three days on paint'] : [Medium::PaperTape, 'quicker along a straight edge'],
            $medium === Medium::PaperTape => $soft ? [Medium::Putty, 'keeps the soft edge soft; off within 24 h'] : [Medium::VinylTape, 'a sharper line, but three days on paint instead of two weeks'],
            $medium === Medium::LiquidMask => [Medium::CutFilm, 'no drying and no scoring where the shape is flat'],
            default => null,
        };
    }
}

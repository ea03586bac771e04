<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use DateTimeZone;
use Throwable;

/** A kit as a document of plain arrays: what the build file and the database hold. */
final class KitDocument
{
    /** @throws BadDocument with every problem found */
    public static function read(mixed $data): Kit
    {
        $problems = new Problems;
        $in = Reader::of($data, '', $problems);
        $zone = $in->text('zone', 60);
        try {
            $zone = new DateTimeZone($zone);
        } catch (Throwable) {
            $problems->add('zone', 'is not a time zone', 'give an IANA name such as Europe/Lisbon');
            $zone = new DateTimeZone('UTC');
        }
        $kit = new Kit(
            $in->text('name', 120),
            $in->optionalText('subject', 200) ?? '',
            $in->number('scale', 1, 10000),
            $zone,
            $in->each('parts', Part::read(...)),
            $in->each('joints', Joint::read(...)),
            $in->each('pieces', PieceLabel::read(...)),
            $in->each('areas', Area::read(...)),
            $in->each('edges', Edge::read(...)),
            $in->each('colours', Colour::read(...)),
            HouseRules::read($in->object('house')),
            $in->each('pins', Pin::read(...)),
            $in->each('orders', Order::read(...)),
            $in->each('notBefore', NotBefore::read(...)),
            $in->each('inserted', Inserted::read(...)),
            $in->each('accepted', Acceptance::read(...)),
            $in->each('callouts', Callout::read(...)),
            $in->each('options', KitOption::read(...)),
            $in->each('holders', OwnedHolders::read(...)),
            $in->each('showRules', ShowRule::read(...)),
            $in->each('outages', Outage::read(...)),
            $in->flag('noseWheel'),
            $in->each('flaws', Flaw::read(...)),
            $in->each('features', Feature::read(...)),
            $in->each('photos', Photo::read(...)),
            $in->each('masks', Mask::read(...)),
            $in->each('proposed', Proposed::read(...)),
        );
        $in->refuseTheRest();
        KitCheck::references($kit, $problems);
        $problems->throwIfAny();

        return $kit;
    }

    /** @return array<string, mixed> */
    public static function write(Kit $kit): array
    {
        return [
            'name' => $kit->name, 'subject' => $kit->subject, 'scale' => $kit->scale, 'zone' => $kit->zone->getName(),
            'parts' => self::arrays($kit->parts), 'joints' => self::arrays($kit->joints), 'pieces' => self::arrays($kit->pieces),
            'areas' => self::arrays($kit->areas), 'edges' => self::arrays($kit->edges), 'colours' => self::arrays($kit->colours),
            'house' => $kit->house->positions,
            'pins' => self::arrays($kit->pins), 'orders' => self::arrays($kit->orders), 'notBefore' => self::arrays($kit->notBefore),
            'inserted' => self::arrays($kit->inserted), 'accepted' => self::arrays($kit->accepted),
            'callouts' => self::arrays($kit->callouts), 'options' => self::arrays($kit->options), 'holders' => self::arrays($kit->holders),
            'showRules' => self::arrays($kit->showRules), 'outages' => self::arrays($kit->outages), 'noseWheel' => $kit->noseWheel,
            'flaws' => self::arrays($kit->flaws), 'features' => self::arrays($kit->features), 'photos' => self::arrays($kit->photos),
            'masks' => self::arrays($kit->masks), 'proposed' => self::arrays($kit->proposed),
        ];
    }

    /**
     * @param  list<Part|Joint|PieceLabel|Area|Edge|Colour|Pin|Order|NotBefore|Inserted|Acceptance|Callout|KitOption|OwnedHolders|ShowRule|Outage|Flaw|Feature|Photo|Mask|Proposed>  $things
     * @return list<array<string, mixed>>
     */
    private static function arrays(array $things): array
    {
        return array_map(static fn (Part|Joint|PieceLabel|Area|Edge|Colour|Pin|Order|NotBefore|Inserted|Acceptance|Callout|KitOption|OwnedHolders|ShowRule|Outage|Flaw|Feature|Photo|Mask|Proposed $thing): array => $thing->toArray(), $things);
    }
}

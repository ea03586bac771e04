<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** Aircraft with one wing: halves that close over a tub, a wing, tail surfaces, a canopy, and what goes on after paint. */
final readonly class Aircraft
{
    /** Fuselage: height to length. */
    private const DEEP = 0.12;

    /** Span to mean chord. */
    private const SLIM = ['glider' => 16.0, 'jet' => 3.4];

    private const USUAL_SLIM = 6.0;

    /** mm on the subject: what a gun of the full-size paint shop makes (handbook 7, Scale). */
    private const SOFT_MM = 150.0;

    private const LEFT = 'Port fuselage half';

    private const RIGHT = 'Starboard fuselage half';

    public function __construct(private Draft $draft, private Kind $kind, private float $length, private float $span, private float $scale)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $upper = array_slice($d->colours('main', 'pale grey', 'grey'), 0, 3);
        $lower = $d->looks()->has('lower') ? $d->colour('lower') : $upper[0];
        $chord = $this->span / (self::SLIM[$this->kind->value] ?? self::USUAL_SLIM);
        // The fuselage first: a piece goes by its oldest part.
        $this->fuselage($upper, $lower);
        $this->cockpit();
        $this->wing($upper, $lower, $chord);
        $d->part('Tailplane', 'styrene', 'moulded grey', 'no A4', 'step 4');
        $tail = Sum::wing($this->span * 0.18, $chord * 0.6);
        $d->area('Tailplane', 'tailplane', $tail->times(2), $upper[0], 'flat', $d->finish());
        $this->canopy($upper[0]);
        match ($this->kind) {
            Kind::Propeller, Kind::Seaplane => $this->propeller(),
            Kind::Jet => $this->exhaust(),
            default => null,
        };
        $this->kind === Kind::Seaplane ? $this->floats($lower, $upper[0]) : $this->wheels();
        $this->joints();
    }

    private function cockpit(): void
    {
        $d = $this->draft;
        $wide = $this->length * 0.07;
        $long = $this->length * 0.13;
        $d->part('Cockpit tub', 'styrene', 'moulded grey', 'no B1', 'step 1', 'inside '.self::LEFT);
        $d->area('Cockpit tub', 'cockpit walls', Sum::body($long, $wide, $wide)->share(0.7), $d->colour('inside', 'interior dark', 'cockpit haze', 'interior grey'), 'bent', 'inside');
        $d->area('Cockpit tub', 'seat', Sum::plate($wide * 0.6, $wide * 1.4)->times(2), $d->colour('seat', 'seat leather', 'leather', 'leather brown'), 'fiddly', 'inside', $d->edge($wide, 'cockpit walls', 'hard', 'fiddly'));
        $d->area('Cockpit tub', 'instrument panel', Sum::plate($wide * 0.9, $wide * 0.5), $d->colour('panel', 'tyre black', 'black'), 'flat', 'inside', $d->edge($wide, 'cockpit walls'));
    }

    /** @param  non-empty-list<string>  $upper */
    private function fuselage(array $upper, string $lower): void
    {
        $d = $this->draft;
        $tube = Sum::tube($this->length * self::DEEP, $this->length, true);
        $fin = Sum::wing($this->length * 0.06, $this->length * 0.14);
        $d->part(self::LEFT, 'styrene', 'moulded grey', 'no A1', 'step 2', 'hand port');
        $d->part(self::RIGHT, 'styrene', 'moulded grey', 'no A2', 'step 2', 'hand starboard');
        $two = $lower !== $upper[0] || count($upper) > 1;
        if ($two) {
            $d->area(self::LEFT, 'lower fuselage', $tube->share(0.42, 'below'), $lower, 'compound', $d->finish());
        }
        foreach ($upper as $i => $colour) {
            $sum = $two ? $tube->share(round(0.58 / count($upper), 3), 'above') : $tube;
            $d->area(self::LEFT, 'upper fuselage in '.$colour, $i === 0 ? $sum : $sum, $colour, 'compound', $d->finish($i === 0), $two && $lower !== $colour ? $d->edge(2 * $this->length / count($upper), 'lower fuselage', 'hard', 'bent') : '', $i === 0 ? '' : $this->soft($this->length * 0.5, 'upper fuselage in '.$upper[$i - 1], 'compound'));
        }
        $d->area(self::LEFT, 'fin', $fin, $upper[0], 'flat', $d->finish(true));
        if ($d->looks()->has('band')) {
            $band = $d->colour('band');
            $d->area(self::LEFT, 'fuselage band', Sum::tube($this->length * self::DEEP, $this->length * 0.05), $band.$this->onWhite($band), 'bent', $d->finish(), $d->edge(2 * M_PI * $this->length * self::DEEP * 0.58, 'upper fuselage in '.$upper[0], 'hard', 'bent'));
        }
    }

    /** @param  non-empty-list<string>  $upper */
    private function wing(array $upper, string $lower, float $chord): void
    {
        $d = $this->draft;
        $face = Sum::wing($this->span / 2, $chord);
        $d->part('Wing', 'styrene', 'moulded grey', 'no A3', 'step 3');
        $d->area('Wing', 'wing underside', $face, $lower, 'flat', $d->finish());
        foreach ($upper as $i => $colour) {
            $d->area('Wing', 'wing top in '.$colour, $face->share(round(1 / count($upper), 3)), $colour, 'flat', $d->finish($i === 0), $lower !== $colour ? $d->edge(2 * $this->span / count($upper), 'wing underside') : '', $i === 0 ? '' : $this->soft($this->span * 0.6, 'wing top in '.$upper[$i - 1]));
        }
        if ($d->looks()->has('band')) {
            $band = $d->colour('band');
            $d->area('Wing', 'wing bands', Sum::plate($this->span * 0.06, $chord)->times(4), $band.$this->onWhite($band), 'flat', $d->finish(), $d->edge(4 * $chord, 'wing top in '.$upper[0]), $d->edge(4 * $chord, 'wing underside'));
        }
    }

    private function canopy(string $colour): void
    {
        $d = $this->draft;
        $glass = Sum::body($this->length * 0.15, $this->length * 0.06, $this->length * 0.04);
        $d->part('Canopy', 'clear styrene', 'no C1', 'step 5', 'grip tab');
        foreach (['windscreen panes' => 0.25, 'hood panes' => 0.35, 'rear panes' => 0.15] as $pane => $share) {
            $d->area('Canopy', $pane, $glass->share($share), 'pane', 'bent');
        }
        $d->area('Canopy', 'canopy frame', $glass->share(0.25), $colour, 'fiddly', $d->looks()->sheen, $d->edge($this->length * 0.3, 'windscreen panes', 'hard', 'fiddly'), $d->edge($this->length * 0.4, 'hood panes', 'hard', 'fiddly'), $d->edge($this->length * 0.2, 'rear panes', 'hard', 'fiddly'));
    }

    private function propeller(): void
    {
        $d = $this->draft;
        $d->part('Propeller', 'styrene', 'moulded grey', 'no B5', 'step 7', 'grip hole');
        $d->area('Propeller', 'blades', Sum::plate($this->length * 0.15, $this->length * 0.018)->times(6), $d->colour('propeller', 'tyre black', 'black'), 'fiddly');
    }

    private function exhaust(): void
    {
        $d = $this->draft;
        $d->part('Exhaust', 'styrene', 'moulded grey', 'no B5', 'step 7', 'grip hole');
        $d->area('Exhaust', 'exhaust pipe', Sum::tube($this->length * 0.06, $this->length * 0.06), $d->colour('exhaust', 'tool steel', 'steel'), 'bent');
    }

    private function wheels(): void
    {
        $d = $this->draft;
        $glider = $this->kind === Kind::Glider;
        $wheel = $this->length * ($glider ? 0.035 : 0.055);
        if (! $glider) {
            $d->part('Legs', 'styrene', 'moulded grey', 'no B6', 'step 6', 'x2', 'grip tab', 'fragile');
            $d->area('Legs', 'legs', Sum::tube($this->length * 0.014, $this->length * 0.14)->times(2), $d->colour('legs', 'tool steel', 'steel', 'grey'), 'fiddly');
        }
        $d->part('Wheels', 'styrene', 'moulded grey', 'no B7', 'step 6', $glider ? 'x1' : 'x2', 'grip hole');
        $d->area('Wheels', 'tyres', Sum::tube($wheel, $wheel * 0.4)->times($glider ? 1 : 2), $d->colour('tyres', 'tyre black', 'black'), 'bent');
        $d->area('Wheels', 'hubs', Sum::plate($wheel * 0.6, $wheel * 0.6)->times($glider ? 2 : 4), $d->colour('wheels', 'tool steel', 'steel', 'grey'), 'bent', $d->edge(M_PI * $wheel * 0.6 * ($glider ? 1 : 2), 'tyres', 'hard', 'bent'));
    }

    private function floats(string $lower, string $upper): void
    {
        $d = $this->draft;
        $float = Sum::hull($this->length * 0.75, $this->length * 0.07, $this->length * 0.07);
        foreach (['Port', 'Starboard'] as $i => $hand) {
            $name = strtolower($hand);
            $d->part("{$hand} float", 'styrene', 'moulded grey', 'no C'.($i + 3), 'step 6', "hand {$name}", 'grip tab');
            $d->area("{$hand} float", "{$name} float keel", $float->share(0.5), $lower, 'compound', $d->finish());
            $d->area("{$hand} float", "{$name} float top", $float->share(0.5), $upper, 'compound', $d->finish(), $lower === $upper ? '' : $d->edge($this->length * 1.5, "{$name} float keel", 'hard', 'bent'));
        }
    }

    private function joints(): void
    {
        $d = $this->draft;
        $cm = fn (float $share): string => max(1, (int) round($share * $this->length / 10)).' cm long';
        $d->joint('tub seat', self::LEFT, 'Cockpit tub', 'line', 'before paint', 'thin cement', 'step 1');
        $d->joint('fuselage halves', self::LEFT, self::RIGHT, 'seam', 'before paint', 'thin cement', 'blocks Cockpit tub / cockpit walls', 'blocks Cockpit tub / seat', 'blocks Cockpit tub / instrument panel', 'gap 0.1 mm', $cm(2.0), 'fill solvent putty', 'step 2');
        $d->joint('wing root', self::LEFT, 'Wing', 'seam', 'before paint', 'thin cement', 'gap 0.2 mm', max(1, (int) round($this->span / 30)).' cm long', 'fill solvent putty', 'step 3');
        $d->joint('tail root', self::LEFT, 'Tailplane', 'seam', 'before paint', 'thin cement', 'gap 0.1 mm', $cm(0.2), 'fill solvent putty', 'step 4');
        $d->joint('canopy joint', self::LEFT, 'Canopy', 'line', 'after paint', 'clear glue', 'step 5');
        if ($this->kind === Kind::Propeller || $this->kind === Kind::Seaplane) {
            $d->joint('propeller shaft', self::LEFT, 'Propeller', 'line', 'after paint', 'clear glue', 'step 7');
        } elseif ($this->kind === Kind::Jet) {
            $d->joint('exhaust seat', self::LEFT, 'Exhaust', 'line', 'after paint', 'clear glue', 'step 7');
        }
        if ($this->kind === Kind::Seaplane) {
            $d->joint('port float struts', 'Wing', 'Port float', 'line', 'after paint', 'superglue', 'step 6');
            $d->joint('starboard float struts', 'Wing', 'Starboard float', 'line', 'after paint', 'superglue', 'step 6');
        } elseif ($this->kind === Kind::Glider) {
            $d->joint('wheel well', self::LEFT, 'Wheels', 'line', 'after paint', 'clear glue', 'step 6');
        } else {
            $d->joint('leg sockets', 'Wing', 'Legs', 'line', 'after paint', 'superglue', 'step 6');
            $d->joint('axles', 'Legs', 'Wheels', 'line', 'after paint', 'clear glue', 'step 6');
        }
        $d->piece(self::LEFT, 'Airframe', 'on a clip', $this->kind === Kind::Jet ? 'dowel in the exhaust' : 'dowel in the nose');
    }

    private function soft(float $mm, string $to, string $curve = ''): string
    {
        return 'soft '.max(2, (int) round($mm)).' mm '.max(0.5, round(self::SOFT_MM / $this->scale, 1)).' mm wide '.($curve === '' ? '' : "{$curve} ")."to {$to}";
    }

    /** What hides badly goes over white. */
    private function onWhite(string $colour): string
    {
        return preg_match('/yellow|orange|red|white/i', $colour) === 1 && ! str_contains($colour, 'white') ? ', on '.$this->draft->colour('ground', 'ground white', 'white') : '';
    }
}

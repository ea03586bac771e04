<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Show;

/** Something that may save days, one thing at a time: the kit edited, a place taken as it is, a session more, another show, a build put away. */
final readonly class Candidate
{
    /**
     * @param  string  $build  the one whose show it is about
     * @param  list<Edit>  $edits  of its kit
     * @param  string|null  $accepts  a place on it that is taken as it is
     * @param  string|null  $date  a day with sessions of its own, such as 2026-03-07
     * @param  list<array{int, int}>  $sessions  of that day, minutes from and until
     * @param  Show|null  $show  it is sent to instead
     * @param  string|null  $away  a build that is put away
     */
    public function __construct(public string $title, public string $build, public array $edits = [], public ?string $accepts = null, public ?string $date = null, public array $sessions = [], public ?Show $show = null, public ?string $away = null)
    {
    }

    /** The sessions with it. */
    public function within(Calendar $calendar): Calendar
    {
        return $this->date === null ? $calendar : $calendar->with([$this->date => $this->sessions] + $calendar->dates);
    }

    /** Whether its build asks for other steps with it. */
    public function changesTheBuild(): bool
    {
        return $this->edits !== [] || $this->accepts !== null || $this->show !== null;
    }
}

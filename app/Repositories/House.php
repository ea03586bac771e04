<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\HouseBook;
use App\Models\Change;
use Illuminate\Support\Facades\DB;

/** The user's own house rules; each change of one can be taken back. */
final readonly class House
{
    public function __construct(private Settings $settings, private Ledger $ledger)
    {
    }

    /** @param  string|null  $position  null: as the house has it where nobody says anything */
    public function say(string $question, ?string $position): void
    {
        DB::transaction(function () use ($question, $position): void {
            $was = $this->put($question, $position);
            if ($was !== $position) {
                $title = HouseBook::questions()[$question]->title ?? $question;
                $this->ledger->write(Ledger::HOUSE, "House rule: {$title}", [new FieldEdit('', $question, $position)], [new FieldEdit('', $question, $was)]);
            }
        });
    }

    /** Throws BadDocument where it was changed again later. */
    public function undo(string $changeId): Change
    {
        return $this->ledger->takeBack($changeId, function (FieldEdit $edit): void {
            $this->put($edit->field, is_string($edit->value) ? $edit->value : null);
        });
    }

    /** @return string|null what it was */
    private function put(string $question, ?string $position): ?string
    {
        $was = null;
        $this->settings->change('house', static function (array $positions) use ($question, $position, &$was): array {
            $was = is_string($positions[$question] ?? null) ? $positions[$question] : null;
            unset($positions[$question]);

            return $position === null ? $positions : [...$positions, $question => $position];
        });

        return $was;
    }
}

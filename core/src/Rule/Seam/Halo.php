<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;

#[Says(
    'A ring in the primer round filler is a gap, a stain or nothing: a dark coat on it tells which, before more paint hides it.',
    speaks: [Severity::Think],
    rests: 'A ring judged as gap, stain or good',
)]
final class Halo implements Judges
{
    public function id(): string
    {
        return 'halo';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->steps->courses as $id => $course) {
            $next = $course->next();
            if ($next === null || ! $next->halo) {
                continue;
            }
            $name = $context->nameOf((string) $id);
            yield new Finding($this->id(), Severity::Think, "Ring round {$name}, not judged", 'It may be a gap that shows under every coat, or only a stain: a dark coat brushed on it tells.', [(string) $id], ["{$id}/{$next->operation->value}/all/{$next->n}"], []);
        }
    }
}

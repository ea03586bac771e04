<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** One direction of dependency: web on app on core, and core knows nobody. */
final class RoomsTest
{
    public function test_core_knows_nobody(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('AmberStep\Core'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Symfony'), Selector::inNamespace('Carbon'));
    }

    public function test_only_assemblers_know_models(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http\Controllers'), Selector::inNamespace('App\Http\Presenters'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Models'));
    }
}

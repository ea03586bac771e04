<?php

declare(strict_types=1);

use Tests\Architecture\RuleList;

require __DIR__.'/../vendor/autoload.php';

$list = RuleList::found();
foreach ([RuleList::CODE => $list->code(), RuleList::PAGE => $list->page()] as $file => $text) {
    file_put_contents(dirname(__DIR__).'/'.$file, $text);
    echo count($list->classes)." rules: {$file}\n";
}

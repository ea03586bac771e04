<?php

declare(strict_types=1);

namespace Tests\Architecture;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Work\Severity;

/** The rules that lie in the folders of core/src/Rule, as code for the compiler and as a page to read. */
final readonly class RuleList
{
    public const CODE = 'core/src/Rule/TradeRules.php';

    public const PAGE = 'docs/rules.md';

    /** @param  list<class-string<Rule>>  $classes  by folder, then by name */
    private function __construct(public array $classes)
    {
    }

    public static function found(): self
    {
        $classes = [];
        foreach (glob(dirname(__DIR__, 2).'/core/src/Rule/*/*.php') ?: [] as $file) {
            $class = 'AmberStep\\Core\\Rule\\'.basename(dirname($file)).'\\'.basename($file, '.php');
            if (is_subclass_of($class, Rule::class)) {
                $classes[] = $class;
            }
        }
        sort($classes);

        return new self($classes);
    }

    public function code(): string
    {
        $lines = array_map(static fn (string $c): string => '        '.substr($c, strlen('AmberStep\\Core\\Rule\\')).'::class,', $this->classes);

        return "<?php\n\ndeclare(strict_types=1);\n\nnamespace AmberStep\\Core\\Rule;\n\n/** All rules of the trade, as they lie in the folders: written by bin/rules, never by hand. */\nfinal class TradeRules\n{\n    /** @var list<class-string<Rule>> */\n    public const ALL = [\n".implode("\n", $lines)."\n    ];\n}\n";
    }

    public function page(): string
    {
        $out = "# The rules of the trade\n\nWritten by `bin/rules` from the rules themselves. Where each lies: `core/src/Rule`, in the folder of its heading.\n";
        $folder = '';
        foreach ($this->classes as $class) {
            [$in, $name] = array_slice(explode('\\', $class), -2);
            if ($in !== $folder) {
                $folder = $in;
                $out .= "\n## {$in}\n\n| rule | class | what it says | does | rests on |\n|---|---|---|---|---|\n";
            }
            $rule = new $class;
            $says = Says::of($rule);
            $does = [
                ...($rule instanceof OrdersSteps ? ['orders'] : []), ...($rule instanceof OrdersHolds ? ['holds'] : []),
                ...($rule instanceof Judges ? array_map(static fn (Severity $s): string => $s->value, $says->speaks) : []),
            ];
            $out .= "| `{$rule->id()}` | {$name} | {$says->sentence} | ".implode(', ', $does)." | {$says->rests} |\n";
        }

        return $out;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\Shape\DxfFile;
use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\SvgFile;
use AmberStep\Core\Masking\Shape\Template;
use AmberStep\Core\Masking\Shape\Templates;
use App\Http\Presenters\ShapePresenter;
use Symfony\Component\Console\Output\OutputInterface;

/** Works a mask's shape out from its measures and writes it for a printer or a cutting machine. */
final class TemplateCommand extends Speaks
{
    protected $signature = 'amber:template {name? : a template; without it all are listed} {measures?* : as small=18 large=30 height=14}
        {--scale= : 72 for 1/72, for lengths "full"} {--grow=0 : mm to the outside} {--mirror : for the other hand} {--copies=1} {--pair : one for each hand} {--start= : where it begins, in words} {--sheet=180 : width of the sheet, mm}
        {--svg= : write an SVG here} {--dxf= : write a DXF here} {--json : print JSON}';

    protected $description = 'A shape of a mask from a few measures, as SVG or DXF';

    public function handle(): int
    {
        return $this->speak(function (): int {
            $name = $this->argument('name');
            if (! is_string($name)) {
                return $this->list();
            }
            $order = $this->order($name);
            foreach (['svg' => SvgFile::of(...), 'dxf' => DxfFile::of(...)] as $option => $write) {
                $to = $this->option($option);
                if (is_string($to) && $to !== '' && @file_put_contents($to, $write($order->sheet)) === false) {
                    throw BadDocument::at("--{$option}", "{$to} cannot be written", 'name a file in a folder that is there');
                }
            }
            $told = ShapePresenter::of($order);
            if ($this->option('json') === true) {
                $this->output->writeln(self::json($told), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            foreach ($told['shapes'] as $i => $shape) {
                $this->line(sprintf('%s%s: %.2f by %.2f mm, %.2f cm²', $order->template->title, count($told['shapes']) > 1 ? ' '.($i + 1) : '', $shape['box']['w'], $shape['box']['h'], $shape['cm2']));
                foreach ($shape['figures'] as $figure) {
                    $this->line(sprintf('  %s: %.2f', $figure['name'], $figure['value']));
                }
            }
            $this->line(sprintf('Sheet %.0f by %.1f mm, %d on it, %.0f %% used', $told['sheet']['width'], $told['sheet']['height'], $told['sheet']['count'], 100 * $told['sheet']['used']));

            return self::SUCCESS;
        });
    }

    private function list(): int
    {
        if ($this->option('json') === true) {
            $this->output->writeln(self::json(['templates' => ShapePresenter::templates()]), OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        foreach (Templates::all() as $template) {
            $this->line(sprintf('%-14s %s: %s', $template->name, $template->title, self::fields($template)));
        }

        return self::SUCCESS;
    }

    private static function fields(Template $template): string
    {
        return implode(', ', array_map(static fn ($f): string => "{$f->name} ({$f->label}".($f->unit === '' || $f->unit === 'text' ? '' : ", {$f->unit}").')', $template->fields));
    }

    /** @throws BadDocument */
    private function order(string $name): Order
    {
        $measures = [];
        foreach ((array) $this->argument('measures') as $pair) {
            $parts = explode('=', is_string($pair) ? $pair : '', 2);
            $field = $parts[0];
            $measures[$field] = $parts[1] ?? throw BadDocument::at('measures', '"'.mb_scrub($field).'" has no value', 'write it as small=18');
        }
        $number = function (string $option): float {
            $text = $this->option($option);

            return is_string($text) && is_numeric($text) ? (float) $text : throw BadDocument::at("--{$option}", 'is not a number', 'write it as 2.5');
        };
        $start = $this->option('start');

        return new Order(Templates::named($name), $measures, $this->option('scale') === null ? null : max(1.0, $number('scale')), $number('grow'), $this->option('mirror') === true, (int) $number('copies'), $this->option('pair') === true, is_string($start) ? $start : '', $number('sheet'));
    }
}

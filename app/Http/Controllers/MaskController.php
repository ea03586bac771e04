<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Plan\Problem;
use App\Answers\Timetables;
use App\Http\Answer;
use App\Http\Presenters\OrdersPresenter;
use App\Http\Presenters\RegisterPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The Masks: frames of the colours, the orders there could be, the shapes that are cut. */
final readonly class MaskController
{
    public function __construct(private Timetables $timetables, private BuildRepository $builds, private Answer $answer)
    {
    }

    public function show(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'masks'), $request);
    }

    /** @throws BadDocument where a line cannot be read */
    public function read(Request $request, string $build): JsonResponse
    {
        $text = $request->json()->all()['text'] ?? null;
        if (! is_string($text) || strlen($text) > 20000) {
            throw BadDocument::at('text', 'is missing or too long', 'write lines such as sheet 4: 1-12 panes');
        }
        $loaded = $this->builds->find($build) ?? throw new NotFoundHttpException;

        return $this->answer->json(RegisterPresenter::typed(mb_scrub($text), $loaded->kit));
    }

    /** @throws BadDocument where it is no order of the colours that are sprayed */
    public function order(Request $request, string $build): Response
    {
        $given = $request->json()->all()['order'] ?? null;
        $ids = is_array($given) && count($given) <= 200 ? array_values(array_filter($given, is_string(...))) : [];
        $priced = static function (LoadedBuild $loaded, Problem $problem) use ($ids): array {
            $orders = new OrdersPresenter($problem->context);
            $order = $orders->read($ids);

            return $order === null ? throw BadDocument::at('order', 'is not the colours that are sprayed, each once', 'give their ids: '.implode(', ', $orders->ids())) : $orders->own($order);
        };

        return $this->answer->kept($this->timetables->remember($build, 'order', $priced, asked: md5(implode(' ', $ids))), $request);
    }
}

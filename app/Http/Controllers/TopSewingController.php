<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\TopMachineSheet;
use App\Documents\TopSheet;
use App\Documents\TopWorkSheet;
use App\Http\SeenVersion;
use App\Models\ShelfTop;
use App\Wall\EditFields;
use App\Work\TopDeed;
use App\Work\TopWork;
use App\Work\WorkNotPossible;
use App\Workings\TopHeld;
use App\Workings\TopHold;
use App\Workings\WorkedTops;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\TopFace;

/** How a top is sewn together: its order, and the work at the machine. */
final readonly class TopSewingController
{
    public function __construct(
        private WorkedTops $tops,
        private TopSheet $sheet,
        private TopWork $work,
        private TopMachineSheet $machine,
    ) {}

    /**
     * How the top is to be sewn together from now on.
     *
     * @throws KeenSeamProblem
     */
    public function sew(Request $request, ShelfTop $top): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $order = new TopOrder($fields->choice('order', Order::class), $fields->choice('sashes', SashesSewn::class));
        TopConstruction::asPlaced(TopFace::of($this->tops->top($top)), $order); // what cannot be sewn so is not kept
        $top->sewnBy(SeenVersion::of($request), $order, $fields->choice('chain', Chain::class), $fields->has('preference') ? $fields->choice('preference', Preference::class) : $top->preference);

        return new JsonResponse($this->sheet->of($top));
    }

    /**
     * What an order would bring: points to match and the longest join.
     *
     * @throws KeenSeamProblem
     */
    public function order(Request $request, ShelfTop $top): JsonResponse
    {
        $fields = new EditFields($request->query());
        $asked = (clone $top)->fill(['order' => $fields->choice('order', Order::class), 'sashes' => $fields->choice('sashes', SashesSewn::class), 'chain' => Chain::RowByRow]);
        try {
            return new JsonResponse($this->tops->told($asked, 'top-order', TopWorkSheet::order(...)));
        } catch (OrderNotPossible $problem) {
            return new JsonResponse(['problem' => $problem->getMessage(), 'matchPoints' => 0, 'longestJoin' => '']);
        }
    }

    /**
     * A place, a pile, a seam of one or a seam between blocks that the planner leaves as it is, or that is free again.
     *
     * @throws KeenSeamProblem
     */
    public function hold(Request $request, ShelfTop $top): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $held = TopHeld::of($top);
        $plan = fn (): TopPlan => $this->tops->plan($top)['plan'] ?? throw WorkNotPossible::notPlanned();
        $isHeld = $request->json('hold') !== false;
        $top->holding(SeenVersion::of($request), match ($fields->choice('what', TopHold::class)) {
            TopHold::Place => $held->withPlace($fields->placeOf($this->tops->top($top))->key(), $isHeld),
            TopHold::Pile => $held->withPile($plan(), $fields->text('pile'), $isHeld),
            TopHold::SeamOfPile => $held->withSeamOfPile($plan(), $fields->text('pile'), $fields->number('join')),
            TopHold::Seam => $held->withSeam($plan(), $fields->number('join')),
        });

        return new JsonResponse($this->sheet->of($top));
    }

    /**
     * How far the work at the machine has come.
     *
     * @throws KeenSeamProblem
     */
    public function work(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->machine->of($top));
    }

    /**
     * What was done; or that the work begins, or goes on with the top as it is now.
     *
     * @throws KeenSeamProblem
     */
    public function tell(Request $request, ShelfTop $top): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $this->work->tell($top, $fields->choice('deed', TopDeed::class), $fields->has('key') ? $fields->text('key') : '');

        return new JsonResponse($this->machine->of($top));
    }
}

<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\ChangedElsewhere;
use App\Exceptions\NoWheelThere;
use App\Models\ShelfTop;
use App\Shelf\Mishap;
use App\Workings\StillPlanning;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\KeenSeamProblem;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The one shape in which a problem with the input is answered. */
final class ProblemResponse
{
    /** Null leaves the answer to the framework: the address itself is wrong, not the block. */
    public static function notFound(NotFoundHttpException $missing, Request $request): ?JsonResponse
    {
        $model = $missing->getPrevious();

        return $request->is('api/*') && $model instanceof ModelNotFoundException
            ? new JsonResponse([
                'code' => 'not-on-the-shelf',
                'message' => sprintf('This %s is not on the shelf. Go back to the shelf and choose another.', $model->getModel() === ShelfTop::class ? 'top' : 'block'),
                'where' => '',
            ], JsonResponse::HTTP_NOT_FOUND)
            : null;
    }

    /** What is not even looked at: where it comes from, or how it is sent, is wrong. */
    public static function refused(string $code, string $message, int $status): JsonResponse
    {
        return new JsonResponse(['code' => $code, 'message' => $message, 'where' => ''], $status);
    }

    /** Null when it is no mishap of the place where the work is kept. */
    public static function ofMishap(\Throwable $thrown): ?JsonResponse
    {
        $mishap = Mishap::of($thrown);
        $answer = $mishap === null ? null : self::refused($mishap->value, $mishap->words(), $mishap->status());
        if ($mishap === Mishap::Busy) {
            $answer?->headers->set('Retry-After', '1');
        }

        return $answer;
    }

    /** Not at its end yet: whoever asked asks again. */
    public static function waiting(StillPlanning $planning): JsonResponse
    {
        return new JsonResponse(['planning' => ['key' => $planning->key, ...$planning->state]], JsonResponse::HTTP_ACCEPTED);
    }

    public static function of(KeenSeamProblem $problem): JsonResponse
    {
        return new JsonResponse([
            'code' => $problem->problemCode(),
            'message' => $problem->getMessage(),
            'where' => $problem->where(),
            ...($problem instanceof NoWheelThere ? ['turn' => $problem->turn] : []),
        ], match (true) {
            $problem instanceof ChangedElsewhere => JsonResponse::HTTP_CONFLICT,
            $problem instanceof JoinNotKnown => JsonResponse::HTTP_NOT_FOUND,
            default => JsonResponse::HTTP_UNPROCESSABLE_ENTITY,
        });
    }
}

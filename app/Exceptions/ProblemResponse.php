<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Http\JsonResponse;
use KeenSeam\Core\KeenSeamProblem;

/** The one shape in which a problem with the input is answered. */
final class ProblemResponse
{
    public static function of(KeenSeamProblem $problem): JsonResponse
    {
        return new JsonResponse([
            'code' => $problem->problemCode(),
            'message' => $problem->getMessage(),
            'where' => $problem->where(),
        ], $problem instanceof ChangedElsewhere ? JsonResponse::HTTP_CONFLICT : JsonResponse::HTTP_UNPROCESSABLE_ENTITY);
    }
}

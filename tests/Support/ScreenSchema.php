<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Holds what the server tells the screens against schema/screens.schema.json, from which the screens' types are written. */
final class ScreenSchema
{
    /** Bytes; longer answers have the same shapes, and reading them takes long. */
    private const LONGEST = 120_000;

    private static ?Validator $validator = null;

    private static ?\stdClass $schema = null;

    /**
     * @param string $address like "GET blocks/{block}/plan"
     *
     * @return list<string> what does not fit, in the validator's words
     */
    public static function mistakes(string $address, int $status, string $answer): array
    {
        $shape = match (true) {
            $status === 202 => 'StillPlanning',
            $status >= 400 => 'Problem',
            default => self::schema()->answers->{$address} ?? null,
        };
        if ($shape === null || ! is_string($shape)) {
            return ["$address has no shape in the schema"];
        }
        if (strlen($answer) > self::LONGEST) {
            return [];
        }
        $error = self::validator()->validate(json_decode($answer, false, 512, JSON_THROW_ON_ERROR), 'keen-seam:screens#/definitions/'.$shape)->error();

        return $error === null ? [] : array_values(array_map(static fn (array $words): string => "$address: ".implode(', ', $words), (new ErrorFormatter())->format($error)));
    }

    /** @return list<string> */
    public static function addresses(): array
    {
        return array_keys(get_object_vars(self::schema()->answers));
    }

    private static function schema(): \stdClass
    {
        return self::$schema ??= (object) json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schema/screens.schema.json'), false, 512, JSON_THROW_ON_ERROR);
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator(max_errors: 5);
            self::$validator->resolver()?->registerRaw(self::schema(), 'keen-seam:screens');
        }

        return self::$validator;
    }
}

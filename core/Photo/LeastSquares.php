<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** A linear model fitted to what was measured. */
final class LeastSquares
{
    /** Keeps what nothing was measured of at nought. */
    private const RIDGE = 1e-6;

    /**
     * @param list<list<float>> $terms   of the model, one list a measurement
     * @param list<float>       $values  that were measured
     * @param list<float>       $weights
     *
     * @return list<float> a factor for every term
     */
    public static function solve(array $terms, array $values, array $weights): array
    {
        $size = count($terms[0] ?? []);
        $left = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($terms as $n => $row) {
            $weight = $weights[$n];
            if ($weight <= 0.0) {
                continue;
            }
            foreach ($row as $i => $one) {
                if ($one === 0.0) {
                    continue;
                }
                $right[$i] += $weight * $one * $values[$n];
                for ($j = $i; $j < $size; ++$j) {
                    $left[$i][$j] += $weight * $one * $row[$j];
                }
            }
        }
        for ($i = 0; $i < $size; ++$i) {
            $left[$i][$i] += self::RIDGE;
            for ($j = 0; $j < $i; ++$j) {
                $left[$i][$j] = $left[$j][$i];
            }
        }

        return self::eliminated($left, $right, $size);
    }

    /**
     * @param array<int, array<int, float>> $left
     * @param array<int, float>             $right
     *
     * @return list<float>
     */
    private static function eliminated(array $left, array $right, int $size): array
    {
        for ($i = 0; $i < $size; ++$i) {
            for ($row = $i + 1; $row < $size; ++$row) {
                $factor = $left[$row][$i] / $left[$i][$i];
                if ($factor !== 0.0) {
                    for ($column = $i; $column < $size; ++$column) {
                        $left[$row][$column] -= $factor * $left[$i][$column];
                    }
                    $right[$row] -= $factor * $right[$i];
                }
            }
        }
        $solved = array_fill(0, $size, 0.0);
        for ($i = $size - 1; $i >= 0; --$i) {
            $sum = $right[$i];
            for ($column = $i + 1; $column < $size; ++$column) {
                $sum -= $left[$i][$column] * $solved[$column];
            }
            $solved[$i] = $sum / $left[$i][$i];
        }

        return array_values($solved);
    }
}

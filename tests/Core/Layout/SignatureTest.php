<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\Signature;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class SignatureTest extends TestCase
{
    /** @return array<string, array{string, string}> A is light Sailcloth, B dark Harbour ink, C medium Sea glass */
    public static function units(): array
    {
        return [
            'plain' => ['pC', 'plain Sea glass'],
            'dark below' => ['hAB', 'dark corner bottom right'],
            'turned' => ['hAB90', 'dark corner bottom left'],
            'medium on light' => ['hCA', 'medium corner top left'],
            'one value' => ['hBB270', 'Harbour ink corner bottom left'],
            'goose' => ['gABB90', 'goose points right'],
            'goose of two skies' => ['gABC', 'goose points up, Harbour ink on its left'],
            'its mirror image' => ['gABCm', 'goose points up, Sea glass on its left'],
            'turned upside down' => ['gABC180', 'goose points down, Harbour ink on its left'],
            'flying left' => ['gABC270', 'goose points left, Harbour ink on its left'],
            'flying right' => ['gABC90', 'goose points right, Harbour ink on its left'],
            'flying right, mirrored' => ['gABC90m', 'goose points right, Sea glass on its left'],
            'triangle' => ['tABB180', 'triangle points down'],
            'quarters' => ['qABAC', 'Sailcloth top and bottom, Harbour ink right, Sea glass left'],
            'split' => ['sABC', 'large Sailcloth corner top left, Harbour ink right, Sea glass bottom'],
            'split, mirrored' => ['sABCm', 'large Sailcloth corner top right, Harbour ink left, Sea glass bottom'],
            'on its point' => ['dABBBB', 'Sailcloth square on its point, Harbour ink all round'],
            'on its point, corners apart' => ['dABCBC90', 'Sailcloth square on its point, Harbour ink top right and bottom left, Sea glass bottom right and top left'],
        ];
    }

    #[DataProvider('units')]
    public function test_a_unit_says_how_it_lies(string $word, string $sentence): void
    {
        self::assertSame($sentence, Signature::of(Face::of(Blocks::of($word))->whole->parts[0]));
    }

    #[DataProvider('units')]
    public function test_it_says_the_same_wherever_it_lies(string $word, string $sentence): void
    {
        $file = ['columns' => ['2', '3'], 'rows' => ['1', '3'], 'finished' => ['width' => '10', 'height' => '8']] + Blocks::file('pA pB', "pC $word");

        self::assertSame($sentence, Signature::of(Face::of(BlockFile::read($file))->whole->parts[3]));
    }

    public function test_corners_are_named_and_four_of_one_fabric_are_all_round(): void
    {
        $corners = static fn (string ...$where): string => Signature::of(Face::of(BlockFile::read(['cells' => [['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => array_fill_keys($where, ['fabric' => 'B', 'size' => '1/2'])]]] + Blocks::file('pA')))->whole->parts[0]);

        self::assertSame('Sailcloth, its corner Harbour ink top left and bottom right', $corners('tl', 'br'));
        self::assertSame('Sailcloth, its corner Harbour ink top left, top right and bottom right', $corners('tl', 'tr', 'br'));
        self::assertSame('Sailcloth, its corner Harbour ink all round', $corners('tl', 'tr', 'br', 'bl'));
        self::assertSame('Harbour ink corner top left', Signature::of(Face::of(Blocks::of('hBB'))->whole->parts[0]));
    }

    public function test_units_without_a_fixed_shape_say_it_too(): void
    {
        $file = Blocks::file('pA pA pA');
        $inner = ['columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [['row' => 1, 'column' => 1, 'unit' => 'half-square-triangle', 'fabrics' => ['A', 'B']], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['C']]]];
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'turn' => 90, 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1/2']]],
            ['row' => 1, 'column' => 2, 'unit' => 'grid', 'turn' => 180] + $inner,
            ['row' => 1, 'column' => 3, 'unit' => 'patches', 'turn' => 90, 'mirrored' => true, 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1', '0'], ['1', '1'], ['0', '1']]]]],
        ];
        $sentences = array_map(Signature::of(...), Face::of(BlockFile::read($file))->whole->parts);

        self::assertSame(['Sailcloth, its corner Harbour ink top right', 'top left in it: plain Sea glass', 'a quarter turn clockwise, mirrored'], $sentences);
    }

    public function test_left_and_right_ones_are_counted_apart_whatever_their_turn(): void
    {
        $hands = HandCount::allOn(Face::of(Blocks::of('gABC gABC90 gABCm', 'gABC180m hAB gABB', 'sABC sABC270 gACB')));

        self::assertSame(
            [['U1', 'flying-geese', 2, 3], ['U5', 'split-quarter-square-triangle', 0, 2]],
            array_map(static fn (HandCount $count): array => [$count->label, $count->kind, ...self::sorted($count)], $hands),
        );
        self::assertSame(['left' => 'gABC', 'right' => 'gACB'], self::handsOf('gABC', 'gACB'), 'mirror twins have the same hand wherever they lie');
        self::assertSame(self::handsOf('gABC', 'gACB'), self::handsOf('gACB90', 'gABC180'));
    }

    /** @return list<int> which twin is called left does not matter here */
    private static function sorted(HandCount $count): array
    {
        $counts = [count($count->left), count($count->right)];
        sort($counts);

        return $counts;
    }

    /** @return array<string, string> */
    private static function handsOf(string $one, string $other): array
    {
        $found = [];
        foreach ([$one, $other] as $word) {
            $hands = HandCount::allOn(Face::of(Blocks::of($word)))[0];
            $found[$hands->left === [] ? 'right' : 'left'] = substr($word, 0, 4);
        }
        ksort($found);

        return $found;
    }
}

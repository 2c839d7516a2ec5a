<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Photo\PhotoFile;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Photo\PhotoReader;
use KeenSeam\Core\Photo\UnitFace;
use Tests\Support\Blocks;

/** Photographs by another renderer than the stand-in camera's: the browser, with its own perspective, light and blur. */
final class PhotographTest extends BrowserTestCase
{
    public function test_photographs_that_the_browser_draws_are_read_too(): void
    {
        $wrong = $found = $false = $unsure = $units = 0;
        foreach ([31, 32, 33, 34, 35, 36] as $seed) {
            $face = Face::of(BlockFile::read(Blocks::generated($seed, 4, 4)));
            $planted = [];
            $html = $this->page($face, $seed, $planted);
            $file = sys_get_temp_dir()."/photo-$seed.html";
            file_put_contents($file, $html);
            $this->windowOf(1200, 900);
            $this->browser->get("file://$file");
            $picture = $this->browser->takeScreenshot();
            unlink($file);
            $reading = PhotoReader::read($face, PhotoFile::from($picture)->photo);
            foreach ($reading->cells as $cell) {
                ++$units;
                $isPlanted = in_array("$cell->row,$cell->column", $planted, true);
                $wrong += $isPlanted ? 1 : 0;
                $found += $isPlanted && $cell->verdict->isWrong() ? 1 : 0;
                $false += ! $isPlanted && $cell->verdict->isWrong() ? 1 : 0;
                $unsure += $cell->verdict->value === 'unsure' ? 1 : 0;
            }
        }
        self::assertSame(96, $units);
        self::assertGreaterThan(8, $wrong);
        self::assertSame([$wrong, 0], [$found, $false], 'every unit that lies wrong is found, and no other is called wrong');
        self::assertLessThanOrEqual(4, $unsure);
    }

    public function test_a_picture_is_chosen_its_corners_put_by_keys_and_what_lies_there_drawn(): void
    {
        $this->visit('/blocks/3/photo');
        $this->seesText('Lay the block out, and photograph it');
        $photo = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'.jpg';
        exec(sprintf('php %s seam:camera %s %s --seed=8 --wrong=1,2:180', escapeshellarg(self::root().'/artisan'), escapeshellarg(self::root().'/database/demo/tide-gate.keenseam.json'), escapeshellarg($photo)));
        $this->find('input[aria-label="Picture of the block"]')->setFileDetector(new LocalFileDetector())->sendKeys($photo);
        $this->seesText('1 unit does not lie as drawn.');
        $this->look('photo');
        $this->named('Mend the corners')->click();
        $corner = $this->find('.corner[aria-label="Corner upper left"]');
        $before = (int) $corner->getAttribute('aria-valuenow');
        $this->browser->executeScript('arguments[0].focus()', [$corner]);
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->waitUntil(fn (): bool => (int) $this->find('.corner[aria-label="Corner upper left"]')->getAttribute('aria-valuenow') === $before + 2, 'the arrow key does not move it');
        $this->named('These are the corners')->click();
        $this->seesText('1 unit does not lie as drawn.');
        $this->named('Never mind')->click();
        $this->seesText('All 16 units look as they are drawn.');
        $this->named('Mind it again')->click();
        $this->named('It is right, the drawing is wrong')->click();
        $this->seesText('All 16 units look as they are drawn.');
        $document = (string) $this->shelf()->query('select document from shelf_blocks where id = 3')->fetchColumn();
        self::assertSame(180, json_decode($document, true, 512, JSON_THROW_ON_ERROR)['cells'][1]['turn'] ?? 0);
        $this->named('Remove the picture')->click();
        $this->seesText('Lay the block out, and photograph it');
        unlink($photo);
    }

    public function test_a_made_picture_is_guessed_at_by_keys(): void
    {
        $this->visit('/blocks/2/photo');
        $this->named('Try it with a made picture')->click();
        $this->seesText('One unit lies wrong. Which?');
        $this->browser->executeScript('document.querySelector(".unit[data-cell=\'1,1\']").focus()');
        $this->press(WebDriverKeys::ARROW_DOWN);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.activeElement.dataset.cell') === '2,1', 'the arrow key goes nowhere');
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->texts('.says') !== [] && $this->texts('.unit.planted') !== [], 'it is not told where it was');
        $this->seesText('Of 1 made picture you found the surprise on');
    }

    /**
     * @param list<string> $planted filled with the cells that lie wrong
     *
     * @param-out list<string> $planted
     */
    private function page(Face $face, int $seed, array &$planted): string
    {
        mt_srand($seed);
        $steps = $face->lattice->steps;
        $pixels = 560 / $face->finishedSize()[0];
        $html = '';
        foreach ($face->whole->parts as $number => $unit) {
            if (! $unit instanceof PlacedUnit) {
                continue;
            }
            $shown = UnitFace::of($unit);
            $by = new \KeenSeam\Core\Block\Placement(\KeenSeam\Core\Block\Turn::Half);
            if ($number % 7 === $seed % 7 && $shown->moved($by)->look() !== $shown->look()) {
                $shown = $shown->moved($by);
                $planted[] = $unit->cell->row.','.$unit->cell->column;
            }
            $corner = $unit->outline->corner();
            $far = $unit->outline->seenFrom($corner)->turned(2)->corner();
            [$width, $height, $rim] = [-$far->x / $steps * $pixels, -$far->y / $steps * $pixels, 0.25 * $pixels];
            // Cloth goes on past the finished edge, below what is seen of its neighbours.
            $polygon = static fn (array $patch, float $rim): string => sprintf('<polygon points="%s" fill="%s" stroke="%2$s" stroke-width="%.1f"/>', implode(' ', array_map(static fn (array $share): string => $width * $share[0].','.$height * $share[1], $patch[1])), $face->block->fabrics[$patch[0]]->color, $rim);
            $html .= sprintf(
                '<svg viewBox="%1$.1f %1$.1f %2$.1f %3$.1f" style="left:%4$.1fpx;top:%5$.1fpx;width:%2$.1fpx;height:%3$.1fpx;transform:rotate(%6$.2fdeg)">%7$s</svg>',
                -$rim,
                $width + 2 * $rim,
                $height + 2 * $rim,
                $corner->x / $steps * $pixels + ($unit->cell->column - 1) * (2 * $rim + 14) + mt_rand(-5, 5),
                $corner->y / $steps * $pixels + ($unit->cell->row - 1) * (2 * $rim + 14) + mt_rand(-5, 5),
                mt_rand(-20, 20) / 10,
                implode('', [...array_map(static fn (array $patch): string => $polygon($patch, 2 * $rim), $shown->patches), ...array_map(static fn (array $patch): string => $polygon($patch, 0), $shown->patches)]),
            );
        }
        $size = 560 + 2 * 0.25 * $pixels + 3 * (0.5 * $pixels + 14);

        return sprintf(
            '<body style="margin:0;background:#7d8a80;overflow:hidden"><div style="position:absolute;inset:0;filter:sepia(%.2f) brightness(%.2f) blur(0.6px)"><div style="position:absolute;left:240px;top:90px;width:%3$.0fpx;height:%3$.0fpx;transform:perspective(1600px) rotateX(%4$ddeg) rotateY(%5$ddeg) rotateZ(%6$ddeg) scale(0.95)">%7$s</div></div><div style="position:absolute;inset:0;background:linear-gradient(%8$ddeg,rgba(0,0,0,0),rgba(0,0,0,0.45))"></div><style>svg{position:absolute;display:block}</style></body>',
            mt_rand(0, 30) / 100,
            mt_rand(80, 105) / 100,
            $size,
            mt_rand(-14, 14),
            mt_rand(-14, 14),
            mt_rand(-4, 4),
            $html,
            mt_rand(0, 359),
        );
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;

final class TakeAlongTest extends BrowserTestCase
{
    public function test_the_browsers_own_print_gives_the_sheet_of_the_station_and_nothing_of_the_screen(): void
    {
        foreach (['press' => 'How it is pressed', 'cut' => 'What to cut', 'wall' => 'To be coloured', 'joins' => 'Joins that want care', 'machine' => 'Step by step'] as $station => $title) {
            $this->visit("/blocks/3/$station");
            $this->find('h1');
            $pdf = tempnam(sys_get_temp_dir(), 'print');
            $printed = (new ChromeDevToolsDriver($this->browser))->execute('Page.printToPDF', ['preferCSSPageSize' => true, 'printBackground' => true]);
            file_put_contents((string) $pdf, base64_decode($printed['data'], true));
            $text = self::asked('pdftotext', (string) $pdf, '-');
            self::assertStringContainsString($title, $text);
            self::assertStringNotContainsString('Take along', $text);
            self::assertMatchesRegularExpression('~Page size:\s+61[12][\d.]* x 79[12]~', $info = self::asked('pdfinfo', (string) $pdf));
            preg_match_all('~page \d+ of (\d+)~', $text, $pages);
            self::assertStringContainsString(sprintf('Pages:           %d', count($pages[0])), $info, 'no page of it is broken in two');
            unlink((string) $pdf);
            self::assertSame(0, $this->browser->executeScript('return document.querySelectorAll(".printed-sheets").length'), 'the screen is as it was');
        }
    }

    public function test_the_back_on_the_screen_is_the_back_of_the_pictures(): void
    {
        $this->visit('/blocks/1/press');
        $this->find('.block-back .cloth polygon');
        $different = $this->browser->executeAsyncScript(<<<'JS'
            const [done] = arguments
            const hex = (colour) => { const pen = document.createElement('canvas').getContext('2d'); pen.fillStyle = colour; return pen.fillStyle }
            const read = (one) => ({ fill: hex(one.getAttribute('fill')), points: one.getAttribute('points').split(' ').map((point) => point.split(',').map(Number)) })
            const screen = [...document.querySelectorAll('.block-back .cloth polygon')].map(read)
            fetch('/api/blocks/1/back.svg').then((answer) => answer.text()).then((text) => {
              const svg = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement
              const [left, top, width, height] = svg.getAttribute('viewBox').split(' ').map(Number)
              const isIn = ([x, y]) => x >= left - 1e-6 && y >= top - 1e-6 && x <= left + width + 1e-6 && y <= top + height + 1e-6
              const paper = [...svg.querySelectorAll('.cloth, .allowance')].map(read)
              // Dog ears past the raw edge are cut off in pictures and hidden on the screen.
              const same = (a, b) => a.fill === b.fill && (!a.points.every(isIn) || a.points.every(([x, y], i) => Math.hypot(x - b.points[i][0], y - b.points[i][1]) < 0.001))
              const arrows = [...document.querySelectorAll('.block-back .arrows [data-stretch]')].length
              done([screen.length - paper.length, screen.filter((one, i) => !same(one, paper[i])).length, arrows - svg.querySelectorAll('.arrow').length, screen.length > 60])
            })
            JS);
        self::assertSame([0, 0, 0, true], $different);
    }

    public function test_a_drawing_is_looked_at_and_kept_beside_a_file_that_is_refused(): void
    {
        $this->visit('/');
        $this->named('Open Slack Water');
        $folder = sys_get_temp_dir().'/in-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents("$folder/Ebb Mark.svg", '<svg xmlns="http://www.w3.org/2000/svg"><rect width="80" height="80" fill="linen"/><path fill="#204060" d="M0 0H40V40Z M40 40H80V80Z"/><circle r="9"/></svg>');
        file_put_contents("$folder/old.json", '{"format": "something"}');
        $this->find('input[type=file]')->setFileDetector(new LocalFileDetector())->sendKeys("$folder/Ebb Mark.svg\n$folder/old.json");
        $this->seesText('old.json:');
        $this->seesText('is round; only straight edges can be sewn here.');
        $this->fill('.file-preview .fields .text-field:last-child input', '6'.WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => str_contains($this->find('.file-preview')->getText(), '6 in finished'), 'the size does not follow');
        $this->look('preview');
        $this->named('Keep it on the shelf')->click();
        $this->waitUntil(fn (): bool => str_contains($this->browser->getCurrentURL(), '/wall'), 'the wall does not open');
        $this->seesText('Ebb Mark');
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    public function test_a_link_holds_the_block_and_whoever_opens_it_may_keep_it(): void
    {
        $this->visit('/blocks/2/order');
        $this->find('.orders');
        $this->named('Take along')->click();
        $this->named('Make a link')->click();
        $link = (string) $this->find('.take-along textarea')->getAttribute('value');
        self::assertStringContainsString('/shared#', $link);
        $this->browser->get(str_replace('#', '?again#', $link));
        $this->find('.file-preview img');
        $this->seesText('12 in finished');
        $before = $this->shelf()->query('select count(*) from shelf_blocks')->fetchColumn();
        $this->named('Keep it on the shelf')->click();
        $this->waitUntil(fn (): bool => str_contains($this->browser->getCurrentURL(), '/wall'), 'the wall does not open');
        self::assertSame($before + 1, $this->shelf()->query('select count(*) from shelf_blocks')->fetchColumn());
        $this->browser->get(substr($link, 0, -9));
        $this->seesText('This link is not whole. Ask for it again, or for the file.');
    }

    public function test_pictures_and_sheets_come_as_files(): void
    {
        $this->visit('/blocks/1/cut');
        $this->find('.unit-card');
        $this->browser->executeScript('window.kept = []; window.made = []; const address = URL.createObjectURL; URL.createObjectURL = (file) => { window.made.push(file); return address(file) }; HTMLAnchorElement.prototype.click = function () { window.kept.push([this.download, this.href]) }');
        $this->named('Print')->click();
        $kept = fn (): array => $this->browser->executeScript('return window.kept');
        $this->waitUntil(fn (): bool => count($kept()) === 1, 'no sheet came');
        self::assertStringEndsWith('.pdf', $kept()[0][1]);
        $this->named('Take along')->click();
        $this->named('Back as PNG')->click();
        $this->waitUntil(fn (): bool => count($kept()) === 2, 'no picture came');
        self::assertSame('Lamp Room back.png', $kept()[1][0]);
        $this->browser->manage()->timeouts()->setScriptTimeout(20);
        self::assertSame(2000, $this->browser->executeAsyncScript('const [done] = arguments; const image = new Image(); image.onload = () => done(image.naturalWidth); image.src = window.kept[1][1]'));
        foreach (['Back as SVG' => ['Lamp Room back.svg', '<svg'], 'Joins for a spreadsheet' => ['Lamp Room joins.csv', 'join,']] as $link => [$name, $begins]) {
            $before = count($kept());
            $this->named($link)->click();
            $this->waitUntil(fn (): bool => count($kept()) === $before + 1, "$link did not come");
            self::assertSame($name, $kept()[$before][0]);
            self::assertStringStartsWith($begins, (string) $this->browser->executeAsyncScript('window.made.at(-1).text().then(arguments[0])'));
        }
        $this->named('All sheets')->click();
        $this->waitUntil(fn (): bool => count($kept()) === 5, 'the sheets did not come');
    }

    private static function asked(string ...$command): string
    {
        return (new Process(array_values($command)))->mustRun()->getOutput();
    }
}

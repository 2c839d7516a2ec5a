<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** axe-core, a general accessibility checker, over every screen and everything that opens on it; and text spaced wider. */
final class AccessibilityTest extends BrowserTestCase
{
    /** What is opened: address, what is clicked, what is open then, and whether Escape closes it. */
    private const STATES = [
        'settings' => ['/', '.settings-button', '.settings-form', true],
        'a new block' => ['/', '.bring-in .el-button--primary', '.new-block', true],
        'a copy' => ['/', '.blocks li:first-child .deeds button:nth-of-type(2)', '.copy-block', true],
        'tags' => ['/', '.blocks li:first-child .deeds button:nth-of-type(3)', '.tags-field', true],
        'what is taken along' => ['/blocks/3/press', '.below .rail-button[aria-haspopup="dialog"]', '.take-along', true],
        'a made photograph' => ['/blocks/3/photo', '.photo-screen .deeds .el-button:nth-of-type(3)', '.photo-picture', false],
        'a word' => ['/blocks/3/press', '.trade-word', '.el-popover .card', true],
        'a unit on the drawing board' => ['/blocks/3/wall?draw=1.1', '.drawing-panel h2', '.typed', false],
        'a fabric' => ['/blocks/3/wall', '.fabric-shelf .link-button:nth-of-type(2)', '.fabric-panel', true],
        'a column' => ['/blocks/3/wall', '.handles.across button', '.line-panel', true],
        'the keys' => ['/blocks/3/wall', '.tools button:last-child', '.el-dialog ul', true],
        'pressing in words' => ['/blocks/3/press', '#tab-words', '.rules', false],
        'advice' => ['/blocks/3/press', '#tab-advice', '.advice', false],
        'beside' => ['/blocks/3/press', '#tab-beside', '.comparison', false],
        'unpicking' => ['/blocks/3/machine', 'footer .deed.small', '.unpick', true],
        'how one works' => ['/blocks/3/machine', '.settings summary', '.settings .chain', true],
    ];

    /** @return array<string, array{string, string}> address, and something that is there once the screen is */
    public static function screens(): array
    {
        return [
            'shelf' => ['/', '.blocks'],
            'wall' => ['/blocks/3/wall', '.figures'],
            'cut and make' => ['/blocks/3/cut', '.unit-card'],
            'order' => ['/blocks/3/order', '.orders'],
            'press' => ['/blocks/3/press', '.side .choice, .seam.chosen'],
            'joins' => ['/blocks/3/joins', '.seam-ruler'],
            'machine' => ['/blocks/3/machine', 'h1, h2'],
            'logbook' => ['/logbook', 'h2'],
            'top' => ['/tops/1', '.top-face .place'],
            'top at the machine' => ['/tops/1/sew', '.panel'],
            'words' => ['/words', 'dl'],
            'photograph' => ['/blocks/3/photo', '.empty'],
            'shared' => ['/shared#q1ZKyy_KTSxRslIKyUxJVXBPLElVqgUA', 'h1'],
        ];
    }

    /** Wider lines, words and letters are those of WCAG 2.2, 1.4.12. */
    #[DataProvider('screens')]
    public function test_a_screen_has_no_fault_and_wider_spaced_text_is_not_cut_off(string $path, string $sign): void
    {
        $this->visit($path);
        $this->find($sign);
        self::assertSame([], $this->faults());
        $this->windowOf(390, 844);
        self::assertSame([], $this->faults(), 'on a phone');
        $this->browser->executeScript('const style = document.createElement("style"); style.textContent = "* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }"; document.head.append(style)');
        $cut = $this->browser->executeScript(<<<'JS'
            const shown = (one) => one.checkVisibility() && !one.closest('.visually-hidden, svg') && getComputedStyle(one).clipPath === 'none'
            return [...document.querySelectorAll('p, h1, h2, h3, a, button, span, li, td, th, label, dt, dd')].filter(shown).filter((one) => {
                const style = getComputedStyle(one)
                const hides = (axis) => ['hidden', 'clip'].includes(style[axis])
                return (hides('overflowY') && one.scrollHeight > one.clientHeight + 2 || hides('overflowX') && one.scrollWidth > one.clientWidth + 2) && one.textContent.trim() !== ''
            }).slice(0, 5).map((one) => `${one.tagName}.${one.className}: ${one.textContent.trim().slice(0, 40)}`)
            JS);
        self::assertSame([], $cut);
    }

    public function test_what_is_opened_has_no_fault_and_escape_closes_it(): void
    {
        $wrong = [];
        foreach (self::STATES as $name => [$path, $click, $open, $isClosed]) {
            $this->visit($path);
            $this->find($click);
            $this->browser->executeScript('document.querySelector(arguments[0]).click()', [$click]);
            $this->find($open);
            usleep(400_000); // what fades in is pale until it is there
            $this->look('state-'.str_replace(' ', '-', $name));
            $wrong[$name] = $this->faults();
            if ($isClosed) {
                $this->browser->executeScript('const open = document.querySelector(arguments[0]); if (!open.closest("[role=dialog], .el-popover") && !open.contains(document.activeElement)) open.querySelector("button, input, a, summary")?.focus()', [$open]);
                $this->press(WebDriverKeys::ESCAPE);
                $this->waitUntil(fn (): bool => $this->browser->executeScript('const open = document.querySelector(arguments[0]); return !open || !open.checkVisibility()', [$open]) === true, "Escape does not close $name");
            }
        }
        self::assertSame([], array_filter($wrong));
    }

    /** @return list<string> */
    private function faults(): array
    {
        $this->browser->executeScript((string) file_get_contents(self::root().'/node_modules/axe-core/axe.min.js'));
        $this->browser->manage()->timeouts()->setScriptTimeout(30);

        return $this->browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1]
            axe.run(document).then((result) => done(result.violations
                .map((fault) => `${fault.id} (${fault.impact}): ${fault.nodes.slice(0, 4).map((node) => node.html.slice(0, 160)).join(' | ')}`)))
            JS);
    }
}

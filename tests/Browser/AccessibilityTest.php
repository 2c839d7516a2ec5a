<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** axe-core, a general accessibility checker, over every screen. */
final class AccessibilityTest extends BrowserTestCase
{
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
        ];
    }

    #[DataProvider('screens')]
    public function test_a_screen_has_no_serious_fault(string $path, string $sign): void
    {
        $this->visit($path);
        $this->find($sign);
        $this->browser->executeScript((string) file_get_contents(self::root().'/node_modules/axe-core/axe.min.js'));
        $this->browser->manage()->timeouts()->setScriptTimeout(30);
        $faults = $this->browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1]
            axe.run(document).then((result) => done(result.violations
                .filter((fault) => ['serious', 'critical'].includes(fault.impact))
                .map((fault) => `${fault.id}: ${fault.nodes.slice(0, 4).map((node) => node.html.slice(0, 160)).join(' | ')}`)))
            JS);

        self::assertSame([], $faults);
    }
}

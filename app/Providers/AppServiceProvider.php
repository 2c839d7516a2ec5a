<?php

declare(strict_types=1);

namespace App\Providers;

use App\Shelf\ShelfConnector;
use App\Workings\KeptParts;
use App\Workings\Planning;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ShelfConnector::class);
        $this->app->singleton(KeptParts::class);
        $this->app->singleton(Planning::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
    }
}

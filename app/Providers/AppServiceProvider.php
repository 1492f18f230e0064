<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\DeriveKit;
use App\Models\Building;
use App\Models\Project;
use App\Policies\BuildingPolicy;
use App\Policies\ProjectPolicy;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(DeriveKit::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Gate::policy(Project::class, ProjectPolicy::class);
        Gate::policy(Building::class, BuildingPolicy::class);
        RateLimiter::for(
            'sign-in',
            static fn (Request $request): Limit => Limit::perMinute(config()->integer('chartula.sign_in_limit'))->by($request->ip() ?? '')
        );
    }
}

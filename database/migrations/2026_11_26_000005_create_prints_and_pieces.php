<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('prints', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('building_id')->constrained()->cascadeOnDelete();
            $table->uuid('client_id');
            $table->unsignedInteger('revision');
            // What was printed, in words: all sheets, sheets 1 and 2, stale parts.
            $table->string('what', 200);
            $table->unsignedInteger('pieces');
            $table->timestampTz('created_at');
            $table->unique(['building_id', 'client_id']);
        });
        Schema::create('pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('building_id')->constrained()->cascadeOnDelete();
            $table->string('part', 200);
            $table->unsignedInteger('copy');
            $table->string('state', 10);
            $table->foreignUlid('print_id')->nullable()->constrained()->nullOnDelete();
            // The part as it was printed or cut, so that later kits can be compared with it.
            $table->jsonb('record');
            $table->timestampsTz();
            $table->unique(['building_id', 'part', 'copy']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pieces');
        Schema::dropIfExists('prints');
    }
};

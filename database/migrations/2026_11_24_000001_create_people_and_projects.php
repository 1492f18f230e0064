<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 200);
            $table->string('email', 200)->unique();
            $table->string('password');
            $table->string('units', 10)->default('imperial');
            $table->rememberToken();
            $table->timestampsTz();
        });
        Schema::create('projects', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->timestampsTz();
        });
        Schema::create('buildings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->unsignedInteger('current');
            $table->timestampsTz();
        });
        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('building_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->uuid('client_id');
            $table->foreignId('author_id')->nullable()->constrained('users')->nullOnDelete();
            $table->text('summary');
            // The text as it was accepted, and beside it the same as jsonb for questions across buildings.
            $table->text('text');
            $table->jsonb('document');
            $table->jsonb('faults');
            $table->boolean('is_sound');
            $table->timestampTz('created_at');
            $table->unique(['building_id', 'number']);
            $table->unique(['building_id', 'client_id']);
        });
        Schema::create('kits', function (Blueprint $table): void {
            $table->id();
            $table->string('fingerprint', 71);
            $table->unsignedInteger('core_version');
            $table->text('answer');
            $table->timestampTz('created_at');
            $table->unique(['fingerprint', 'core_version']);
        });
    }

    public function down(): void
    {
        foreach (['kits', 'revisions', 'buildings', 'projects', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

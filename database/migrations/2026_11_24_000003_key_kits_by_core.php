<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Kept kits can be derived again, so the table is simply made anew. */
    public function up(): void
    {
        Schema::dropIfExists('kits');
        Schema::create('kits', function (Blueprint $table): void {
            $table->id();
            $table->string('fingerprint', 71);
            $table->string('core_version', 64);
            $table->text('answer');
            $table->timestampTz('created_at');
            $table->unique(['fingerprint', 'core_version']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('kits');
    }
};

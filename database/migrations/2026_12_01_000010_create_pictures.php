<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pictures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // Of the file as it is kept: what documents name it by.
            $table->char('sha256', 64);
            $table->unsignedInteger('bytes');
            // Base64, so that a dump of the database holds it like everything else.
            $table->text('jpeg');
            $table->text('small');
            $table->timestampTz('created_at');
            $table->unique(['user_id', 'sha256']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pictures');
    }
};
